import { insteadWords } from '@nucleon/core/words/screens/instead';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { insteadOfDrilling, type Instead } from '@nucleon/core/words/advice/insteadOfDrilling';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { useRouter } from 'expo-router';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Page } from '../../ui/Page';
import { Loading } from '../../ui/StateView';
import { Heading, Small } from '../../ui/text';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { HoleTrouble } from '../hole/HoleTrouble';
import { useHoleRoom } from '../hole/useHoleRoom';
import { addPracticePiece } from './addPracticePiece';
import { Trouble } from '../../ui/Trouble';

/** Whether to drill this at all, and what can be done instead. */
export function InsteadScreen() {
  return (
    <HoleLoader title={insteadWords.alternatives}>
      {(loaded) => <InsteadRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

const VERDICTS: Record<
  Instead['verdict'],
  { level: 'stop' | 'caution' | 'fine'; title: string; text: string }
> = {
  must: {
    level: 'stop',
    title: insteadWords.notAsItStands,
    text: insteadWords.somethingMustBeCleared,
  },
  consider: {
    level: 'caution',
    title: insteadWords.theOddsArePoor,
    text: insteadWords.itCanBeDrilled,
  },
  fine: {
    level: 'fine',
    title: insteadWords.nothingSpeaksAgainstIt,
    text: insteadWords.itCanBeDrilledAs,
  },
};

function InsteadRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { plan, edit, detail } = room;
  const home = routes.hole(detail.job.id, detail.hole.id);
  const material = findMaterial(edit.piece.material, detail.job.customMaterials);
  const instead =
    plan && material
      ? insteadOfDrilling(plan, { piece: edit.piece, hole: edit.hole, material })
      : null;
  return (
    <Page
      title={insteadWords.alternatives}
      subtitle={`${edit.hole.label?.trim() || commonWords.hole} · ${edit.piece.name}`}
      back={{ href: home, label: commonWords.thePlan }}
    >
      <HoleTrouble {...room} />
      {instead === null ? (
        <Loading what={insteadWords.theOdds} />
      ) : (
        <Ways loaded={loaded} instead={instead} />
      )}
    </Page>
  );
}

function Ways({ loaded, instead }: { readonly loaded: LoadedHole; readonly instead: Instead }) {
  const router = useRouter();
  const verdict = VERDICTS[instead.verdict];
  const { job, hole } = loaded.detail;
  const onFindOut = (): void => {
    router.navigate(routes.hole(job.id, hole.id, 'know'));
  };
  const practise = useWrite(() => addPracticePiece(loaded.detail), {
    otherwise: insteadWords.itCouldNotBe,
    done: ({ jobId, holeId }) => {
      router.navigate(routes.hole(jobId, holeId));
    },
  });
  return (
    <Column padding="$4" gap="$4" testID={`instead-${instead.verdict}`}>
      <Notice level={verdict.level} title={verdict.title} text={verdict.text} />
      {instead.why.map((line) => (
        <Small key={line} color="$ink">
          {line}
        </Small>
      ))}
      <Heading aria-level={2}>{insteadWords.otherWays}</Heading>
      {instead.alternatives.map(({ way, title, detail }) => (
        <Column
          key={way + title}
          gap="$2"
          borderTopWidth={1}
          borderColor="$line"
          paddingTop="$3"
          testID={`way-${way}`}
        >
          <Heading aria-level={3} fontSize="$3" lineHeight="$3">
            {title}
          </Heading>
          <Small>{detail}</Small>
          {way === 'find-out' ? (
            <Row>
              <Button
                label={commonWords.helpMeFindOut}
                look="main"
                onPress={onFindOut}
                testID="find-out"
              />
            </Row>
          ) : null}
          {way === 'practise' ? (
            <Row>
              <Button
                label={insteadWords.addPracticePieceFirst}
                look="main"
                disabled={practise.busy}
                onPress={() => {
                  practise.run();
                }}
                testID="add-practice"
              />
            </Row>
          ) : null}
        </Column>
      ))}
      <Trouble text={practise.trouble} />
    </Column>
  );
}
