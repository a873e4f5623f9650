import { placeWords } from '@nucleon/core/words/screens/place';
import type { StoredHouse } from '@nucleon/contract/wire';
import { EDGE_RULE_IDS, type EdgeRuleId } from '@nucleon/core/data/choices';
import type { House } from '@nucleon/core/documents/house';
import { EDGE_RULES } from '@nucleon/core/layout/edgeRules';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { houseQuery, putHouse } from '../../api/house';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Chips } from '../../ui/Chips';
import { Column } from '../../ui/layout';
import { NumberBox } from '../../ui/NumberBox';
import { Failed, Loading } from '../../ui/StateView';
import { Small } from '../../ui/text';

type Per = NonNullable<House['edge']>['per'];

const PER_CHIPS: readonly { value: Per | 'none'; label: string }[] = [
  { value: 'none', label: placeWords.noneOfOurOwn },
  { value: 'diameter', label: placeWords.holeDiameters },
  { value: 'thickness', label: placeWords.thicknesses },
  { value: 'mm', label: placeWords.millimetres },
];
const USUAL: Record<Per, number> = { diameter: 1.5, thickness: 3, mm: 25 };
const LIMIT = { above: 0, max: 1000, unit: '' };
const SCHOOLS: readonly { value: EdgeRuleId | 'strictest'; label: string }[] = [
  { value: 'strictest', label: placeWords.theStrictest },
  ...EDGE_RULE_IDS.filter((id) => EDGE_RULES[id].measure === 'edge').map((value) => ({
    value,
    label: EDGE_RULES[value].label.replace(/, to the edge$/, ''),
  })),
];

/** The workshop's own rule of edge distance, and which school binds; kept for every job. */
export function HousePanel() {
  const house = useQuery(houseQuery);
  if (house.isError) return <Failed error={house.error} onRetry={() => void house.refetch()} />;
  if (!house.data) return <Loading what={placeWords.theHouseRule} />;
  return <HouseForm key={house.data.version} house={house.data} />;
}

function HouseForm({ house }: { readonly house: StoredHouse }) {
  const [edge, setEdge] = useState(house.edge);
  const [school, setSchool] = useState<EdgeRuleId | 'strictest'>(house.school ?? 'strictest');
  const save = useWrite(() => {
    const { edge: _edge, school: _school, ...rest } = house;
    return putHouse({
      ...rest,
      ...(edge ? { edge } : {}),
      ...(school === 'strictest' ? {} : { school }),
    });
  });
  return (
    <Column gap="$4">
      <Chips
        label={placeWords.holesRimToEdge}
        chips={PER_CHIPS}
        value={edge?.per ?? 'none'}
        onChange={(per) => {
          setEdge(per === 'none' ? undefined : { per, value: USUAL[per] });
        }}
        testID="house-per"
      />
      {edge ? (
        <NumberBox
          label={placeWords.howMany}
          value={edge.value}
          limit={LIMIT}
          onChange={(value) => {
            if (value !== undefined) setEdge({ ...edge, value });
          }}
          testID="house-value"
        />
      ) : null}
      <Chips
        label={placeWords.ofSchoolsOfEdge}
        chips={SCHOOLS}
        value={school}
        onChange={setSchool}
        testID="house-school"
      />
      <Small>{placeWords.theOthersAreStill}</Small>
      <Button
        label={placeWords.keepForEveryJob}
        look="main"
        onPress={() => {
          save.run();
        }}
        testID="house-keep"
      />
      <Small role="status" aria-live="polite">
        {save.trouble || (house.version > 0 ? placeWords.keptOnServer : '')}
      </Small>
    </Column>
  );
}
