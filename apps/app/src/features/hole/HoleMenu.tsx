import { holeWords } from '@nucleon/core/words/screens/hole';
import { commonWords } from '@nucleon/core/words/screens/common';
import { routes } from '../../routes';
import type { HoleDetail } from '@nucleon/contract/wire';
import type { DrillCase } from '@nucleon/core/setup/drillCase';
import type { Plan } from '@nucleon/core/documents/plan';
import { planText } from '@nucleon/core/words/plan/planText';
import { useRouter } from 'expo-router';
import Copy from 'lucide-react-native/icons/copy';
import NotebookPen from 'lucide-react-native/icons/notebook-pen';
import Printer from 'lucide-react-native/icons/printer';
import Trash from 'lucide-react-native/icons/trash';
import { useState } from 'react';
import { deleteHole, restoreHole } from '../../api/holes';
import { useDelete } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Small } from '../../ui/text';
import { PackButton } from '../files/PackButton';
import { useUnits } from '../display/displayStore';

/** Copy, print, delete; and what the numbers are worth. */
export function HoleMenu({
  detail,
  plan,
  drillCase,
}: {
  readonly detail: HoleDetail;
  readonly plan: Plan | null;
  /** The hole as it stands on the screen. */
  readonly drillCase: DrillCase;
}) {
  const units = useUnits();
  const router = useRouter();
  const [said, setSaid] = useState('');
  const { hole, piece, job } = detail;
  const deletion = useDelete(() => {
    router.navigate(routes.job(job.id));
  });
  const copy = (): void => {
    if (!plan) return;
    const title = `${hole.label ?? commonWords.hole}, ${piece.name} (${job.name})`;
    navigator.clipboard.writeText(planText(plan, title, units)).then(
      () => {
        setSaid(holeWords.copied);
      },
      () => {
        setSaid(holeWords.theBrowserWouldNot);
      },
    );
  };
  const remove = (): void => {
    deletion.run({
      name: hole.label ?? commonWords.hole,
      remove: () => deleteHole(hole.id),
      restore: () => restoreHole(hole.id),
    });
  };
  return (
    <Column padding="$4" gap="$3">
      <Row gap="$2" flexWrap="wrap" id="print-hide-menu">
        <Button label={holeWords.copyPlan} icon={Copy} onPress={copy} disabled={!plan} />
        <PackButton
          label={holeWords.benchCardPdf}
          name={`${hole.label ?? 'hole'} ${piece.name}`}
          asked={() => Promise.resolve({ jobName: job.name, cases: [drillCase] })}
          cardsOnly
          onSaid={setSaid}
          testID="bench-card"
        />
        <Button
          label={holeWords.print}
          icon={Printer}
          onPress={() => {
            window.print();
          }}
        />
        <Button
          label={commonWords.itsRuns}
          icon={NotebookPen}
          onPress={() => {
            router.navigate(routes.log({ holeId: hole.id }));
          }}
          testID="hole-runs"
        />
        <Button
          label={holeWords.deleteHole}
          writes
          icon={Trash}
          look="stop"
          onPress={remove}
          testID="delete-hole"
        />
      </Row>
      <Small role="status" aria-live="polite">
        {deletion.trouble || said}
      </Small>
      <Small>
        {holeWords.anEstimate}
        {plan ? holeWords.modelData(plan.modelVersion, plan.dataVersion) : ''}
      </Small>
    </Column>
  );
}
