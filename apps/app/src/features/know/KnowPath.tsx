import { knowWords } from '@nucleon/core/words/screens/know';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import { useRouter } from 'expo-router';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { Small } from '../../ui/text';
import type { LoadedHole } from '../hole/HoleLoader';
import { HoleTrouble } from '../hole/HoleTrouble';
import { SaveMark } from '../draft/SaveMark';
import { useHoleRoom } from '../hole/useHoleRoom';
import { KnowStepView } from './KnowStepView';
import { useKnowing } from './knowing';

/** One screen of the path at a time; every answer is stored, so that it can be left and resumed. */
export function KnowPath(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { detail, edit, handle } = room;
  const router = useRouter();
  const knowing = useKnowing(edit, detail.job.customMaterials);
  const { screen, path, back, skip } = knowing;
  const home = routes.hole(detail.job.id, detail.hole.id);
  const last = screen === 'done';
  return (
    <Page
      title={knowWords.identifyPiece}
      subtitle={edit.piece.name}
      back={{ href: home, label: commonWords.thePlan }}
      actions={<SaveMark save={handle.draft.save} />}
      footer={
        <>
          {back ? <Button label={knowWords.back} onPress={back} grow testID="know-back" /> : null}
          {last ? (
            <Button
              label={knowWords.toPlan}
              look="main"
              grow
              onPress={() => {
                router.navigate(home);
              }}
              testID="know-to-plan"
            />
          ) : (
            <Button label={knowWords.skip} onPress={skip} grow testID="know-skip" />
          )}
        </>
      }
    >
      <HoleTrouble {...room} />
      <Column padding="$4" gap="$4" testID={`know-at-${screen}`}>
        <Small>{knowWords.stepOf(path.indexOf(screen) + 1, path.length)}</Small>
        <KnowStepView room={room} knowing={knowing} />
      </Column>
    </Page>
  );
}
