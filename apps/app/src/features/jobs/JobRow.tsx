import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { counted } from '@nucleon/core/words/sentence';
import { routes, type Route } from '../../routes';
import type { JobSummary } from '@nucleon/contract/wire';
import { findMaterial } from '@nucleon/core/data/materials/materials';
import { formatDistanceToNow } from 'date-fns/formatDistanceToNow';
import ChevronRight from 'lucide-react-native/icons/chevron-right';
import OctagonX from 'lucide-react-native/icons/octagon-x';
import { Icon } from '../../ui/Icon';
import { Column, Row } from '../../ui/layout';
import { LinkPress } from '../../ui/LinkPress';
import { Heading, Small } from '../../ui/text';

interface JobRowProps {
  readonly job: JobSummary;
  readonly first: boolean;
  /** Shown beside the list, where there is room for it. */
  readonly beside?: { readonly to: Route; readonly here: boolean };
}

export function JobRow({ job, first, beside }: JobRowProps) {
  const materials = job.materials.map((id) => findMaterial(id)?.name ?? id).join(', ');
  return (
    <Column render="li" borderTopWidth={first ? 0 : 1} borderColor="$line">
      <LinkPress
        to={beside?.to ?? routes.job(job.id)}
        {...(beside?.here
          ? { 'aria-current': 'true' as const, backgroundColor: '$waterWash' as const }
          : {})}
        padding="$4"
        gap="$3"
        justifyContent="space-between"
        hoverStyle={{ backgroundColor: '$raised' }}
      >
        <Column flex={1} alignItems="flex-start" gap="$1">
          <Heading textAlign="left" aria-level={2}>
            {job.name}
          </Heading>
          <Small textAlign="left">
            {counted(job.pieceCount, 'piece')}, {counted(job.holeCount, 'hole')} ·{' '}
            {formatDistanceToNow(new Date(job.updatedAt), { addSuffix: true })}
          </Small>
          {materials ? <Small textAlign="left">{materials}</Small> : null}
          {job.stoppedCount > 0 ? (
            <Row gap="$1">
              <Icon of={OctagonX} tone="stop" size={16} />
              <Small color="$stop">{jobsWords.stopped(job.stoppedCount)}</Small>
            </Row>
          ) : null}
        </Column>
        <Icon of={ChevronRight} tone="muted" />
      </LinkPress>
    </Column>
  );
}
