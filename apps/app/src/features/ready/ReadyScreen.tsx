import { readyWords } from '@nucleon/core/words/screens/ready';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { JobDetail } from '@nucleon/contract/wire';
import { materialClassOf } from '@nucleon/core/run/runMaterial';
import type { ReadyItem } from '@nucleon/core/words/run/readyCheck';
import { readyList } from '@nucleon/core/words/run/readyList';
import type { Plan } from '@nucleon/core/documents/plan';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import ArrowRight from 'lucide-react-native/icons/arrow-right';
import { useMemo, useState } from 'react';
import { coverageQuery } from '../../api/holes';
import { jobQuery } from '../../api/jobs';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Loading } from '../../ui/StateView';
import { Heading, Label, Small } from '../../ui/text';
import { TickRow } from '../../ui/TickRow';
import { useDisplay, useUnits } from '../display/displayStore';
import { AnswersHere } from '../gates/AnswersHere';
import { AnswersThere } from '../gates/AnswersThere';
import { GateLine } from '../gates/GateLine';
import { GateTick } from '../gates/GateTick';
import { StopPanel } from '../gates/StopPanel';
import { useGateAnswers } from '../gates/useGateAnswers';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { roomHref } from '../hole/rooms';
import { useHoleRoom, type HoleRoom } from '../hole/useHoleRoom';
import { openRun } from '../run/runStore';
import { PackingFold } from './PackingFold';
import { tickKey, useReadyTicks } from './readyTicks';
import { useOpenRunOf } from './useOpenRunOf';

const clock = (): Date => new Date();

/** What to see to before the motor starts; then the run is opened. */
export function ReadyScreen() {
  return (
    <HoleLoader title={readyWords.readyCheck}>
      {(loaded) => <ReadyRoom key={loaded.detail.hole.id} {...loaded} />}
    </HoleLoader>
  );
}

function ReadyRoom(loaded: LoadedHole) {
  const room = useHoleRoom(loaded);
  const { plan, detail } = room;
  const job = useQuery(jobQuery(detail.job.id));
  if (!plan)
    return (
      <RoomPage name="ready" room={room}>
        {room.faults.length === 0 ? <Loading what={commonWords.thePlan} /> : null}
      </RoomPage>
    );
  return <ReadyList room={room} plan={plan} job={job.data ?? null} />;
}

interface ReadyListProps {
  readonly room: HoleRoom;
  readonly plan: Plan;
  readonly job: JobDetail | null;
}

function ReadyList({ room, plan, job }: ReadyListProps) {
  const { edit, detail, workshop } = room;
  const router = useRouter();
  const answers = useGateAnswers(edit, detail.job, clock);
  const { parts, isTicked, tick } = useReadyList(room, plan, job);
  const items = parts.flatMap((part) => part.items);
  const { data: coverage } = useQuery(coverageQuery(detail.hole.id));
  const [packs, setPacks] = useState(false);
  const person = useDisplay(({ person: name }) => name);
  const under = useOpenRunOf(detail.hole.id, job);
  const stops = plan.gates.filter(({ level }) => level === 'stop').length;
  const confirms = plan.gates.filter(({ level }) => level === 'confirm').length;
  const left = items.filter((item) => !isTicked(item)).length;
  const open = stops + confirms + left;
  const begin = (): void => {
    const { reasons: _reasons, ...bare } = plan;
    const runId = openRun({
      kind: 'open',
      plan: bare,
      ready: items.map(({ id }) => id),
      subject: {
        jobId: detail.job.id,
        jobName: detail.job.name,
        pieceId: edit.piece.id,
        pieceName: edit.piece.name,
        holeId: edit.hole.id,
        holeName: edit.hole.label?.trim() ? edit.hole.label : commonWords.hole,
        material: edit.piece.layers?.[0]?.material ?? edit.piece.material,
        thicknessMm: edit.piece.thicknessMm,
        diameterMm: edit.hole.diameterMm,
        ...(edit.piece.practice ? { practice: true } : {}),
        ...(edit.piece.sheet?.trim() ? { sheet: edit.piece.sheet.trim() } : {}),
        ...(person.trim() ? { person: person.trim() } : {}),
      },
    });
    useReadyTicks.getState().begun(edit.hole.id);
    router.navigate(routes.run(runId));
  };
  const opens: Record<NonNullable<ReadyItem['opens']>, () => void> = {
    packing: () => {
      setPacks(!packs);
    },
    'bit-check': () => {
      router.navigate(routes.kit({ check: plan.setup.bitId ?? '' }));
    },
    marks: () => {
      router.navigate(routes.marks(detail.job.id, edit.piece.id));
    },
    practice: () => {
      router.navigate(routes.job(detail.job.id));
    },
  };
  return (
    <RoomPage
      name="ready"
      room={room}
      footer={
        <Button
          label={
            open === 0
              ? readyWords.toBench
              : stops > 0
                ? readyWords.stopped
                : readyWords.toSeeTo(open)
          }
          icon={ArrowRight}
          look="main"
          grow
          disabled={open > 0}
          onPress={begin}
          testID="begin-run"
        />
      }
    >
      {under ? (
        <Column padding="$3">
          <Notice level="note" title={readyWords.aRunOfThis} text={readyWords.itIsKeptAs}>
            <Button
              label={readyWords.goOnWithIt}
              look="main"
              onPress={() => {
                router.navigate(routes.run(under));
              }}
              testID="go-on-run"
            />
          </Notice>
        </Column>
      ) : null}
      {coverage ? <AnswersHere given={coverage.here} gates={plan.gates} answers={answers} /> : null}
      <StopPanel
        plan={plan}
        answers={answers}
        onKnow={() => {
          router.navigate(roomHref(detail, 'know'));
        }}
        onInstead={() => {
          router.navigate(roomHref(detail, 'instead'));
        }}
      />
      <Column padding="$4" gap="$3" testID="ready-items">
        <Column gap="$1">
          <Heading aria-level={2}>{readyWords.beforeMotorStarts}</Heading>
          <Small>{readyWords.ticksForDayAnd}</Small>
          {answers.trouble ? (
            <Small color="$stop" role="alert">
              {answers.trouble}
            </Small>
          ) : null}
        </Column>
        {parts.map(({ section, title, gates, items: own, notes }) => (
          <Column key={section}>
            <Label aria-level={3} role="heading">
              {title}
            </Label>
            {gates.map((gate) => (
              <GateTick key={gate.code} gate={gate} answers={answers} />
            ))}
            {own.map((item) => (
              <Column key={item.id}>
                <TickRow
                  title={item.title}
                  detail={item.detail}
                  on={isTicked(item)}
                  onChange={(on) => {
                    tick(item, on);
                  }}
                  beside={
                    item.opens ? (
                      <Button
                        label={OPENS[item.opens]}
                        look="quiet"
                        onPress={opens[item.opens]}
                        testID={`ready-open-${item.opens}`}
                      />
                    ) : undefined
                  }
                  testID={`ready-${item.id}`}
                />
                {item.opens === 'packing' && packs && job ? (
                  <PackingFold job={job} workshop={workshop} />
                ) : null}
              </Column>
            ))}
            {notes.map((gate) => (
              <GateLine key={gate.code} gate={gate} answers={answers} />
            ))}
          </Column>
        ))}
      </Column>
      {coverage ? <AnswersThere holeId={detail.hole.id} coverage={coverage} /> : null}
    </RoomPage>
  );
}

const OPENS = {
  packing: readyWords.list,
  'bit-check': readyWords.checkIt,
  marks: readyWords.marks,
  practice: readyWords.show,
} as const;

/** The list, with what is ticked for the run, the day and the job. */
function useReadyList({ edit, detail, workshop }: HoleRoom, plan: Plan, job: JobDetail | null) {
  const units = useUnits();
  const { ticked, set } = useReadyTicks();
  const [now] = useState(clock);
  const parts = useMemo(
    () =>
      readyList({
        plan,
        piece: edit.piece,
        hole: edit.hole,
        bit: workshop.bits.find(({ id }) => id === plan.setup.bitId) ?? null,
        due: workshop.bitsDue.find(({ bitId }) => bitId === plan.setup.bitId) ?? null,
        practice: practiceOf(job, plan),
        now,
        units,
      }),
    [plan, edit.piece, edit.hole, workshop.bits, workshop.bitsDue, job, now, units],
  );
  const key = (item: ReadyItem): string =>
    tickKey(item, { jobId: detail.job.id, holeId: detail.hole.id }, now);
  return {
    parts,
    isTicked: (item: ReadyItem): boolean => ticked[key(item)] ?? false,
    tick: (item: ReadyItem, on: boolean): void => {
      set(key(item), on);
    },
  };
}

/** Whether the job has a practice piece of the same kind, and whether it has been drilled. */
function practiceOf(job: JobDetail | null, plan: Plan): 'none' | 'to-do' | 'done' {
  const spare = job?.pieces.filter(({ practice }) => practice) ?? [];
  if (spare.length === 0 || materialClassOf(plan) === 'masonry') return 'none';
  return spare.some(({ holes }) => holes.some(({ lastRun }) => lastRun?.over)) ? 'done' : 'to-do';
}
