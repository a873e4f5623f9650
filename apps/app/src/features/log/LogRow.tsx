import { logWords } from '@nucleon/core/words/screens/log';
import { routes } from '../../routes';
import type { StoredRun } from '@nucleon/contract/wire';
import { outcomeOf } from '@nucleon/core/run/runOutcome';
import { OUTCOME_WORDS } from '@nucleon/core/words/run/outcomeWords';
import { runLine } from '@nucleon/core/words/run/runLine';
import { format } from 'date-fns/format';
import { Icon } from '../../ui/Icon';
import { Row } from '../../ui/layout';
import { RowLink } from '../../ui/RowLink';
import { Small, Strong } from '../../ui/text';
import { useUnits } from '../display/displayStore';
import { materialName } from './materialName';
import { OUTCOME_LOOKS } from './outcomeLooks';

/** One run in the log: what, when, how it came out, and what was expected. */
export function LogRow({ run }: { readonly run: StoredRun }) {
  const units = useUnits();
  const outcome = outcomeOf(run);
  const [icon, tone] = OUTCOME_LOOKS[outcome];
  return (
    <RowLink to={routes.run(run.runId)} testID={`run-${run.holeName}`}>
      <Row gap="$2">
        <Icon of={icon} tone={tone} size={18} />
        <Strong textAlign="left" flexShrink={1}>
          {run.holeName} · {run.pieceName}
        </Strong>
      </Row>
      <Small textAlign="left" color={`$${tone}`}>
        {OUTCOME_WORDS[outcome]}
        {run.flagCount > 0 ? logWords.toLookAt(run.flagCount) : ''}
        {run.holeGone ? logWords.itsHoleIsDeleted : ''}
      </Small>
      <Small textAlign="left">
        {format(new Date(run.openedAt), 'd MMM yyyy, HH:mm')} · {materialName(run.material)} ·{' '}
        {run.bitName}
      </Small>
      <Small textAlign="left">{runLine(run, units)}</Small>
    </RowLink>
  );
}
