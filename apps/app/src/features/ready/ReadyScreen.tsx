import { readyWords } from '@nucleon/core/words/screens/ready';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { JobDetail } from '@nucleon/contract/wire';
import { materialClassOf } from '@nucleon/core/run/runMaterial';
import type { ReadyItem } from '@nucleon/core/words/run/readyCheck';
import { readyList, type ReadyPart } from '@nucleon/core/words/run/readyList';
import type { Plan } from '@nucleon/core/documents/plan';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { coverageQuery } from '../../api/holes';
import { jobQuery } from '../../api/jobs';
import { Button } from '../../ui/Button';
import { Column } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { Loading } from '../../ui/StateView';
import { Heading, Label, Small } from '../../ui/text';
import { TickRow } from '../../ui/TickRow';
import { useUnits } from '../display/displayStore';
import { AnswersHere } from '../gates/AnswersHere';
import { AnswersThere } from '../gates/AnswersThere';
import { GateLine } from '../gates/GateLine';
import { GateTick } from '../gates/GateTick';
import { StopPanel } from '../gates/StopPanel';
import { useGateAnswers, type GateAnswers } from '../gates/useGateAnswers';
import { HoleLoader, type LoadedHole } from '../hole/HoleLoader';
import { RoomPage } from '../hole/RoomPage';
import { roomHref } from '../hole/rooms';
import { useHoleRoom, type HoleRoom } from '../hole/useHoleRoom';
import { BeginButton } from './BeginButton';
import { PackingFold } from './PackingFold';
import { tickKey, useReadyTicks } from './readyTicks';
import { useOpenRunOf } from './useOpenRunOf';
import { Trouble } from '../../ui/Trouble';

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
  const { edit, detail } = room;
  const router = useRouter();
  const answers = useGateAnswers(edit, detail.job, clock);
  const list = useReadyList(room, plan, job);
  const { data: coverage } = useQuery(coverageQuery(detail.hole.id));
  const under = useOpenRunOf(detail.hole.id, job);
  return (
    <RoomPage
      name="ready"
      room={room}
      footer={<BeginButton room={room} plan={plan} items={list.items} left={list.left} />}
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
          <Trouble text={answers.trouble} />
        </Column>
        {list.parts.map((part) => (
          <Section
            key={part.section}
            part={part}
            list={list}
            answers={answers}
            room={room}
            job={job}
            bitId={plan.setup.bitId}
          />
        ))}
      </Column>
      {coverage ? <AnswersThere holeId={detail.hole.id} coverage={coverage} /> : null}
    </RoomPage>
  );
}

interface SectionProps extends Pick<ReadyListProps, 'room' | 'job'> {
  readonly part: ReadyPart;
  readonly list: ReturnType<typeof useReadyList>;
  readonly answers: GateAnswers;
  readonly bitId: string | null;
}

/** One heading of the list: what is confirmed, what is ticked, what is only said. */
function Section({ part, list, answers, room, job, bitId }: SectionProps) {
  const { edit, detail, workshop } = room;
  const router = useRouter();
  const [packs, setPacks] = useState(false);
  const opens: Record<NonNullable<ReadyItem['opens']>, () => void> = {
    packing: () => {
      setPacks(!packs);
    },
    'bit-check': () => {
      router.navigate(routes.kit({ check: bitId ?? '' }));
    },
    marks: () => {
      router.navigate(routes.marks(detail.job.id, edit.piece.id));
    },
    practice: () => {
      router.navigate(routes.job(detail.job.id));
    },
  };
  return (
    <Column>
      <Label aria-level={3} role="heading">
        {part.title}
      </Label>
      {part.gates.map((gate) => (
        <GateTick key={gate.code} gate={gate} answers={answers} />
      ))}
      {part.items.map((item) => (
        <Column key={item.id}>
          <TickRow
            title={item.title}
            detail={item.detail}
            on={list.isTicked(item)}
            onChange={(on) => {
              list.tick(item, on);
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
      {part.notes.map((gate) => (
        <GateLine key={gate.code} gate={gate} answers={answers} />
      ))}
    </Column>
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
  const isTicked = (item: ReadyItem): boolean => ticked[key(item)] ?? false;
  const items = parts.flatMap((part) => part.items);
  return {
    parts,
    items,
    left: items.filter((item) => !isTicked(item)).length,
    isTicked,
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
