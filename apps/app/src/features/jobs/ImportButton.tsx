import { commonWords } from '@nucleon/core/words/screens/common';
import { jobsWords } from '@nucleon/core/words/screens/jobs';
import { routes } from '../../routes';
import type { Fault } from '@nucleon/core/documents/fault';
import { useRouter } from 'expo-router';
import FolderInput from 'lucide-react-native/icons/folder-input';
import type { JobImported } from '@nucleon/contract/wire';
import { ApiProblem } from '../../api/problem';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { Notice } from '../../ui/Notice';
import { pickFile } from '../../ui/pickFile';
import { Small } from '../../ui/text';
import { KitDifferences } from './KitDifferences';
import { useImport } from './useImport';

const MAX_SHOWN = 8;

interface Trouble {
  readonly text: string;
  readonly faults: readonly Fault[];
  /** Nobody answered: the same may go through the next time. */
  readonly mayPass: boolean;
}

function troubleWith(name: string, error: unknown): string {
  if (!(error instanceof ApiProblem))
    return error instanceof Error ? error.message : jobsWords.itCouldNotBe;
  if (error.body.code === 'bad-json') return jobsWords.isNotJson(name);
  const left = jobsWords.wasNotOpenedNothing(name);
  return error.body.faults ? left : `${left} ${error.message}`;
}

/** Opens a job file, alone or in an archive; a faulty one is refused whole, with what is wrong where. */
export function ImportButton() {
  const router = useRouter();
  const show = (jobId: string): void => {
    router.navigate(routes.job(jobId));
  };
  const { state, name, open, again, cancel } = useImport((imported) => {
    if (toTell(imported) === 0) show(imported.jobId);
  });
  const pick = async (): Promise<void> => {
    const file = await pickFile('.json,.zip,application/json,application/zip');
    if (file) open(file);
  };
  const trouble: Trouble | null =
    state.kind === 'failed'
      ? {
          text: troubleWith(name, state.error),
          faults: state.error instanceof ApiProblem ? (state.error.body.faults ?? []) : [],
          mayPass: !(state.error instanceof ApiProblem && state.error.body.status < 500),
        }
      : null;
  return (
    <Column gap="$2">
      {state.kind === 'busy' ? (
        <Row gap="$2" justifyContent="space-between" role="status" aria-live="polite">
          <Small>{jobsWords.opening(name, state.seconds)}</Small>
          <Button label={commonWords.cancel} onPress={cancel} testID="import-cancel" />
        </Row>
      ) : (
        <Button
          label={jobsWords.openJobFile}
          icon={FolderInput}
          onPress={() => void pick()}
          testID="import"
        />
      )}
      {state.kind === 'stopped' ? (
        <Notice level="note" text={jobsWords.importStopped(name)} live testID="import-stopped" />
      ) : null}
      {state.kind === 'opened' && toTell(state.imported) > 0 ? (
        <Left imported={state.imported} name={name} onShow={show} />
      ) : null}
      {trouble ? (
        <Notice level="caution" text={trouble.text} live testID="import-trouble">
          {trouble.faults.slice(0, MAX_SHOWN).map((fault) => (
            <Small key={fault.pointer + fault.message}>
              {fault.pointer || '/'}: {fault.message}
            </Small>
          ))}
          {trouble.faults.length > MAX_SHOWN ? (
            <Small>{jobsWords.andMore(trouble.faults.length - MAX_SHOWN)}</Small>
          ) : null}
          {trouble.mayPass ? (
            <Row>
              <Button label={commonWords.tryAgain} onPress={again} testID="import-again" />
            </Row>
          ) : null}
        </Notice>
      ) : null}
    </Column>
  );
}

const linesOf = ({ skipped, left }: JobImported): readonly string[] => [
  ...skipped.map((run) => jobsWords.runOf(run.name, run.why)),
  ...left,
];
const toTell = (imported: JobImported): number =>
  linesOf(imported).length + imported.differs.length;

/** What a job that was opened left behind in its file, and what of the kit it knows otherwise. */
function Left({
  imported,
  name,
  onShow,
}: {
  readonly imported: JobImported;
  readonly name: string;
  readonly onShow: (jobId: string) => void;
}) {
  const lines = linesOf(imported);
  return (
    <Notice
      level="note"
      title={jobsWords.opened}
      text={lines.length > 0 ? jobsWords.isOpenInIt(name, lines.length) : jobsWords.isOpen(name)}
      live
      testID="import-left"
    >
      {lines.slice(0, MAX_SHOWN).map((line) => (
        <Small key={line}>{line}</Small>
      ))}
      {lines.length > MAX_SHOWN ? (
        <Small>{jobsWords.andMore(lines.length - MAX_SHOWN)}</Small>
      ) : null}
      {imported.differs.length > 0 ? <KitDifferences differs={imported.differs} /> : null}
      <Row>
        <Button
          label={jobsWords.goToJob}
          onPress={() => {
            onShow(imported.jobId);
          }}
          testID="import-go"
        />
      </Row>
    </Notice>
  );
}
