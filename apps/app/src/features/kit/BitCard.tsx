import { kitWords } from '@nucleon/core/words/screens/kit';
import { learningWords } from '@nucleon/core/words/screens/learning';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { StoredBit } from '@nucleon/contract/wire';
import { lastDressed, noteWords } from '@nucleon/core/words/bitWords';
import { format } from 'date-fns/format';
import Copy from 'lucide-react-native/icons/copy';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import Eye from 'lucide-react-native/icons/eye';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { putBit } from '../../api/kit';
import { learningQuery } from '../../api/learning';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Label, Small } from '../../ui/text';
import { BitCheck } from './BitCheck';
import { BitForm } from './BitForm';
import { BIT_ENDS, type BitEnd } from '@nucleon/core/data/choices';
import { BIT_END_WORDS } from '@nucleon/core/words/bitWords';
import { Chips } from '../../ui/Chips';
import { useUnits } from '../display/displayStore';
import { Trouble } from '../../ui/Trouble';

const day = (at: string): string => format(new Date(at), 'd MMM yyyy');

interface BitCardProps {
  readonly bit: StoredBit;
  readonly startsWith: 'check' | null;
  readonly onDone: () => void;
}

/** Another like it, new; or away it goes, with why (null: it is used again). */
function useBitWrites(bit: StoredBit, onDone: () => void) {
  const { id, version, updatedAt: _at, ...own } = bit;
  const another = useWrite(() => {
    const { sharpness: _s, sharpnessLog: _log, runOutMm: _run, ...like } = own;
    return putBit(newId(), {
      ...like,
      name: kitWords.another(bit.name),
      state: 'new',
      holesCut: 0,
      depthCutMm: 0,
      retired: false,
      version: 0,
    });
  });
  const putAway = useWrite(
    (retiredWhy: BitEnd | null) => {
      const { retiredWhy: _before, ...kept } = own;
      return putBit(id, {
        ...kept,
        retired: retiredWhy !== null,
        ...(retiredWhy === null ? {} : { retiredWhy }),
        version,
      });
    },
    { done: onDone },
  );
  return { another, putAway };
}

/** One bit: look at it, change it, have another like it, put it away. */
export function BitCard({ bit, startsWith, onDone }: BitCardProps) {
  const router = useRouter();
  const units = useUnits();
  const [checking, setChecking] = useState(startsWith === 'check');
  const [leaving, setLeaving] = useState(false);
  const { another, putAway } = useBitWrites(bit, onDone);
  const trouble = another.trouble || putAway.trouble;
  const due = useQuery(learningQuery).data?.report?.bits.find(({ bitId }) => bitId === bit.id);
  if (checking)
    return (
      <BitCheck
        bit={bit}
        onDone={() => {
          setChecking(false);
        }}
      />
    );
  return (
    <Column testID="bit-card">
      <Column padding="$4" gap="$3" backgroundColor="$ground">
        <Row gap="$2" flexWrap="wrap">
          <Button
            label={kitWords.lookAtIt}
            writes
            icon={Eye}
            onPress={() => {
              setChecking(true);
            }}
            testID="bit-check"
          />
          <Button
            label={commonWords.itsRuns}
            icon={NotebookPen}
            onPress={() => {
              router.navigate(routes.log({ bitId: bit.id }));
            }}
            testID="bit-runs"
          />
          <Button
            label={kitWords.anotherLikeIt}
            writes
            icon={Copy}
            disabled={another.busy}
            onPress={() => {
              another.run();
            }}
          />
          <Button
            label={bit.retired ? kitWords.useItAgain : kitWords.putAway}
            writes
            onPress={() => {
              if (bit.retired) putAway.run(null);
              else setLeaving(!leaving);
            }}
            testID="bit-retire"
          />
        </Row>
        {leaving && !bit.retired ? (
          <Chips
            label={kitWords.whyPutAway}
            chips={BIT_ENDS.map((value) => ({ value, label: BIT_END_WORDS[value] }))}
            value={undefined}
            onChange={putAway.run}
            testID="bit-why-away"
          />
        ) : null}
        {due ? <Small testID="bit-due">{learningWords.dueOf(due, units)}</Small> : null}
        <Trouble text={trouble} />
        <SharpnessLog bit={bit} />
      </Column>
      <BitForm bit={bit} onDone={onDone} />
    </Column>
  );
}

/** What was seen of its sharpness, the latest first. */
function SharpnessLog({ bit }: { readonly bit: StoredBit }) {
  if (!bit.sharpnessLog?.length) return null;
  const dressed = lastDressed(bit);
  return (
    <Column gap="$1" testID="sharpness-log">
      <Label>{kitWords.sharpnessSoFar(dressed && day(dressed))}</Label>
      {bit.sharpnessLog.toReversed().map((note, index) => (
        <Small key={`${note.at} ${index}`}>
          {day(note.at)}: {noteWords(note)}
        </Small>
      ))}
    </Column>
  );
}
