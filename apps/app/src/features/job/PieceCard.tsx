import { holeWords } from '@nucleon/core/words/screens/hole';
import { jobWords } from '@nucleon/core/words/screens/job';
import { commonWords } from '@nucleon/core/words/screens/common';
import { planChangesText } from '@nucleon/core/words/plan/planChanges';
import { routes } from '../../routes';
import type { HoleInList, HoleRun, PieceInJob } from '@nucleon/contract/wire';
import { nextHolePlace } from '@nucleon/core/layout/nextHolePlace';
import type { Material } from '@nucleon/core/data/materials/material';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { outcomeOf } from '@nucleon/core/run/runOutcome';
import { drilledWords } from '@nucleon/core/words/run/outcomeWords';
import { formatDuration, formatForce, formatRpm } from '@nucleon/core/words/units/formatQuantity';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useRouter } from 'expo-router';
import Crosshair from 'lucide-react-native/icons/crosshair';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import Plus from 'lucide-react-native/icons/plus';
import Trash from 'lucide-react-native/icons/trash';
import { v7 as newId } from 'uuid';
import { putHole } from '../../api/holes';
import { deletePiece, restorePiece } from '../../api/pieces';
import { useDelete, useWrite } from '../../api/useWrite';
import { OutlineThumb } from '../../drawing/OutlineThumb';
import { Button } from '../../ui/Button';
import { Column, Panel, Row } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Heading, Label, Small, Strong } from '../../ui/text';
import { OUTCOME_LOOKS } from '../log/outcomeLooks';
import { useUnits } from '../display/displayStore';

const THUMB_PX = 84;

interface PieceCardProps {
  readonly piece: PieceInJob;
  readonly custom: readonly Material[];
}

/** One piece to scale with its holes, each a line that opens its plan. */
export function PieceCard({ piece, custom }: PieceCardProps) {
  const units = useUnits();
  const material = findMaterial(piece.layers?.[0]?.material ?? piece.material, custom);
  const body = piece.layers?.length
    ? piece.layers.map((layer) => findMaterial(layer.material, custom)?.name ?? 'cavity').join(', ')
    : `${material?.name ?? piece.material}${(piece.couldBe?.length ?? 0) > 1 ? holeWords.orAnother : ''}`;
  return (
    <Panel wet testID={`piece-${piece.name}`}>
      <Row padding="$4" gap="$4" alignItems="center">
        <Column width={THUMB_PX} alignItems="center" flexShrink={0}>
          <OutlineThumb
            outline={piece.outline}
            holes={piece.holes}
            bodyClass={material?.class ?? 'stone'}
            size={THUMB_PX}
          />
        </Column>
        <Column flex={1} gap={2}>
          <Heading aria-level={2}>{piece.name}</Heading>
          {piece.practice ? <Label color="$water">{jobWords.toPractiseOnFirst}</Label> : null}
          <Small>
            {body}, {formatLengthShort(piece.thicknessMm, units)}
          </Small>
        </Column>
      </Row>
      {piece.holes.map((hole) => (
        <HoleRow key={hole.id} hole={hole} jobId={piece.jobId} />
      ))}
      <PieceButtons piece={piece} />
    </Panel>
  );
}

/** What can be done with the whole piece. */
function PieceButtons({ piece }: Pick<PieceCardProps, 'piece'>) {
  const router = useRouter();
  const another = useWrite(
    () => {
      const like = piece.holes.at(-1);
      return putHole(piece.id, newId(), {
        ...nextHolePlace(piece.outline, piece.holes),
        diameterMm: like?.diameterMm ?? 10,
        depth: like?.depth ?? { kind: 'through' },
        ...(like?.face ? { face: like.face } : {}),
        ...(like?.setup ? { setup: like.setup } : {}),
        label: jobWords.hole(piece.holes.length + 1),
        version: 0,
      });
    },
    {
      done: ({ id }) => {
        router.navigate(routes.hole(piece.jobId, id));
      },
    },
  );
  const deletion = useDelete();
  const remove = (): void => {
    deletion.run({
      name: piece.name,
      remove: () => deletePiece(piece.id),
      restore: () => restorePiece(piece.id),
    });
  };
  const trouble = another.trouble || deletion.trouble;
  return (
    <>
      <Row
        borderTopWidth={1}
        borderColor="$line"
        justifyContent="space-between"
        flexWrap="wrap"
        paddingHorizontal="$2"
      >
        <Button
          label={jobWords.layOut}
          icon={Crosshair}
          look="quiet"
          hint={jobWords.layOutHolesOf(piece.name)}
          onPress={() => {
            router.navigate(routes.place(piece.jobId, piece.id));
          }}
          testID={`place-${piece.name}`}
        />
        <Button
          label={jobWords.anotherHole}
          writes
          icon={Plus}
          look="quiet"
          hint={jobWords.anotherHoleIn(piece.name)}
          disabled={another.busy}
          onPress={() => {
            another.run();
          }}
        />
        {piece.holes.some(({ lastRun }) => lastRun) ? (
          <Button
            label={commonWords.itsRuns}
            icon={NotebookPen}
            look="quiet"
            hint={jobWords.theRunsOf(piece.name)}
            onPress={() => {
              router.navigate(routes.log({ pieceId: piece.id }));
            }}
            testID={`runs-${piece.name}`}
          />
        ) : null}
        <Button
          label={jobWords.deletePiece}
          writes
          icon={Trash}
          look="quiet"
          hint={jobWords.delete(piece.name)}
          onPress={remove}
        />
      </Row>
      {trouble ? (
        <Small padding="$3" color="$stop" role="alert">
          {trouble}
        </Small>
      ) : null}
    </>
  );
}

/** How the latest run of a hole came out. */
function LastRun({ run }: { readonly run: HoleRun }) {
  return (
    <Strong
      fontSize="$2"
      lineHeight="$2"
      textAlign="left"
      color={`$${OUTCOME_LOOKS[outcomeOf(run)][1]}`}
      testID="last-run"
    >
      {drilledWords(run)}
    </Strong>
  );
}

function HoleRow({ hole, jobId }: { readonly hole: HoleInList; readonly jobId: string }) {
  const units = useUnits();
  const { headline } = hole;
  const stopped = headline && headline.stops.length > 0;
  const changed = headline?.changed && planChangesText(headline.changed, units);
  return (
    <RowLink to={routes.hole(jobId, hole.id)} testID={`hole-${hole.label ?? ''}`}>
      <Strong textAlign="left">
        {hole.label || commonWords.hole} · {formatLengthShort(hole.diameterMm, units)}
      </Strong>
      {headline ? (
        <Small textAlign="left" color={stopped ? '$stop' : '$muted'}>
          {stopped
            ? jobWords.stop(headline.stops.join(' '))
            : `${formatForce(headline.feedForceN, units)}, ${formatRpm(headline.rpm)}${headline.drillTimeS ? jobWords.about(formatDuration(headline.drillTimeS.p50)) : ''}`}
        </Small>
      ) : null}
      {hole.faults[0] ? (
        <Small textAlign="left" color="$stop" testID="hole-faults">
          {jobWords.doesNotFitMessage(hole.faults[0].message)}
        </Small>
      ) : null}
      {headline && !stopped ? (
        <Small textAlign="left">
          {headline.toConfirm > 0
            ? jobWords.toConfirm(headline.toConfirm, headline.settled)
            : jobWords.allConfirmed}
        </Small>
      ) : null}
      {changed ? (
        <Small textAlign="left" testID="plan-changed">
          {changed}
        </Small>
      ) : null}
      {hole.lastRun ? <LastRun run={hole.lastRun} /> : null}
      {!headline && hole.faults.length === 0 ? (
        <Small textAlign="left">{jobWords.itsPlanIsBeing}</Small>
      ) : null}
    </RowLink>
  );
}
