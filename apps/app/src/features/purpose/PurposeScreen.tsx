import { commonWords } from '@nucleon/core/words/screens/common';
import { purposeWords } from '@nucleon/core/words/screens/purpose';
import type { Route } from '../../routes';
import { routes } from '../../routes';
import { useMedia } from '@tamagui/core';
import { isPurposeKind, type PurposeKind } from '@nucleon/core/layout/purposes/purposes';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { Column, Row } from '../../ui/layout';
import { Page } from '../../ui/Page';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { HoleTrouble } from '../hole/HoleTrouble';
import { SaveMark } from '../draft/SaveMark';
import { useHoleRoom } from '../hole/useHoleRoom';
import { FitView } from './FitView';
import { PurposeForm } from './PurposeForm';
import { PurposeList } from './PurposeList';
import { UseFitButton } from './UseFitButton';
import { usePurpose } from './usePurpose';

/** From the part to the hole. */
export function PurposeScreen() {
  return (
    <HoleLoader title={purposeWords.purpose}>
      {(loaded) => <PurposeRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function PurposeRoom(loaded: LoadedHole) {
  const { kind } = useLocalSearchParams<{ kind?: string }>();
  const router = useRouter();
  const { detail } = loaded;
  const stored = detail.hole.purpose?.kind;
  const home = routes.hole(detail.job.id, detail.hole.id);
  const chosen = kind ?? stored;
  const list = (): void => {
    router.setParams({ jobId: detail.job.id, holeId: detail.hole.id, kind: 'list' });
  };
  if (chosen !== undefined && isPurposeKind(chosen)) {
    return <OnePurpose key={chosen} loaded={loaded} kind={chosen} home={home} onList={list} />;
  }
  return (
    <Page
      title={purposeWords.purpose}
      subtitle={detail.piece.name}
      back={{ href: home, label: commonWords.thePlan }}
    >
      <PurposeList
        bits={loaded.workshop.bits}
        hrefOf={(one) => routes.purpose(detail.job.id, detail.hole.id, one)}
      />
    </Page>
  );
}

interface OnePurposeProps {
  readonly loaded: LoadedHole;
  readonly kind: PurposeKind;
  readonly home: Route;
  readonly onList: () => void;
}

/** The part's fields, and the hole that follows from them, as they are typed. */
function OnePurpose({ loaded, kind, home, onList }: OnePurposeProps) {
  const room = useHoleRoom(loaded);
  const { wide } = useMedia();
  const purpose = usePurpose(room, kind);
  const form = (
    <PurposeForm
      kind={kind}
      purpose={purpose}
      thicknessMm={room.edit.piece.thicknessMm}
      onOther={onList}
    />
  );
  const result = <FitView purpose={purpose} />;
  return (
    <Page
      title={purpose.tool.title}
      subtitle={`${room.edit.hole.label?.trim() || commonWords.hole} · ${room.edit.piece.name}`}
      back={{ href: home, label: commonWords.thePlan }}
      maxWidth={wide ? 1100 : 760}
      actions={<SaveMark save={room.handle.draft.save} />}
      footer={<UseFitButton room={room} kind={kind} purpose={purpose} home={home} />}
    >
      <HoleTrouble {...room} />
      {wide ? (
        <Row alignItems="flex-start">
          <Column width={380} flexShrink={0} padding="$4" gap="$4">
            {form}
          </Column>
          <Column flex={1}>{result}</Column>
        </Row>
      ) : (
        <Column>
          <Column padding="$4" gap="$4">
            {form}
          </Column>
          {result}
        </Column>
      )}
    </Page>
  );
}
