import { commonWords } from '@nucleon/core/words/screens/common';
import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { formatLengthShort } from '@nucleon/core/words/units/length';
import { useQuery } from '@tanstack/react-query';
import { benchQuery } from '../../api/jobs';
import { routes, type Route } from '../../routes';
import { Column, Panel } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Heading, Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';

interface Line {
  readonly key: string;
  readonly to: Route;
  readonly title: string;
  readonly note: string;
}

interface BenchListProps {
  /** Whether a hole's plan is shown beside the list. */
  readonly beside: boolean;
}

/** What there is to go on with: begun, ready to drill, and what was left to be said or done. */
export function BenchList({ beside }: BenchListProps) {
  const units = useUnits();
  const { data } = useQuery(benchQuery());
  if (!data) return null;
  const isNamed = (state: string): state is keyof typeof jobsWords.bitState =>
    state in jobsWords.bitState;
  const parts: readonly (readonly [title: string, lines: readonly Line[]])[] = [
    [
      jobsWords.underWay,
      data.underWay.map((run) => ({
        key: run.runId,
        to: routes.run(run.runId),
        title: run.holeName,
        note: run.pieceName,
      })),
    ],
    [
      jobsWords.nextToDrill,
      data.toDrill.map((hole) => ({
        key: hole.holeId,
        to: beside
          ? routes.jobs({ job: hole.jobId, hole: hole.holeId })
          : routes.hole(hole.jobId, hole.holeId),
        title: `${hole.holeName ?? commonWords.hole} · ${formatLengthShort(hole.diameterMm, units)}`,
        note: `${hole.pieceName} · ${hole.jobName}`,
      })),
    ],
    [
      jobsWords.due,
      [
        ...data.noResult.map((run) => ({
          key: run.runId,
          to: routes.result(run.runId),
          title: `${run.holeName} · ${run.pieceName}`,
          note: jobsWords.resultMissing,
        })),
        ...data.bits.map((bit) => ({
          key: bit.id,
          to: routes.kit({ check: bit.id }),
          title: bit.name,
          note: isNamed(bit.state) ? jobsWords.bitState[bit.state] : '',
        })),
      ],
    ],
  ];
  return (
    <Column gap="$4" testID="bench">
      {parts
        .filter(([, lines]) => lines.length > 0)
        .map(([title, lines]) => (
          <Column key={title} gap="$2">
            <Heading aria-level={2}>{title}</Heading>
            <Panel>
              {lines.map(({ key, to, title: name, note }) => (
                <RowLink key={key} to={to}>
                  <Strong textAlign="left">{name}</Strong>
                  <Small textAlign="left">{note}</Small>
                </RowLink>
              ))}
            </Panel>
          </Column>
        ))}
    </Column>
  );
}
