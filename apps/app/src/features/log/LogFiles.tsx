import { logWords } from '@nucleon/core/words/screens/log';
import { MAX_EVENTS } from '@nucleon/contract/runLimits';
import type { RunEvent } from '@nucleon/core/documents/runEvent';
import type { RunsCsvOutcome } from '@nucleon/files/runsCsv';
import FileDown from 'lucide-react-native/icons/file-down';
import FileUp from 'lucide-react-native/icons/file-up';
import { useState } from 'react';
import { allRuns, exportLog, postEvents, type LogFile, type LogFilter } from '../../api/runs';
import { useWrite } from '../../api/useWrite';
import { Button } from '../../ui/Button';
import { Column, Row } from '../../ui/layout';
import { pickFile } from '../../ui/pickFile';
import { saveFile } from '../../ui/saveFile';
import { Heading, Small } from '../../ui/text';
import { askFiles, blobOf } from '../../workers/files';

/** The log as files: a spreadsheet and an open record, out and in. */
export function LogFiles({ filter }: { readonly filter: LogFilter }) {
  const [said, setSaid] = useState('');
  const [why, setWhy] = useState<readonly string[]>([]);
  const working = useWrite((work: () => Promise<string>) => work(), { done: setSaid });
  const trying = (work: () => Promise<string>) => (): void => {
    setWhy([]);
    working.run(work);
  };
  const saveCsv = trying(async () => {
    const reply = await askFiles('writeRuns', { runs: await allRuns(filter) }).done;
    if (reply.kind === 'refused') return reply.message;
    saveFile('log.csv', blobOf(reply));
    return logWords.savedAsLogCsv;
  });
  const saveJson = trying(async () => {
    const log = await exportLog(filter);
    saveFile(
      'log.nucleon-log.json',
      new Blob([`${JSON.stringify(log, null, 1)}\n`], { type: 'application/json' }),
    );
    return logWords.savedRuns(log.runs.length);
  });
  const open = trying(async () => {
    const file = await pickFile('.csv,.json,text/csv,application/json');
    if (!file) return '';
    const runs = file.name.endsWith('.json')
      ? readLog(await file.text(), file.name)
      : await readCsv(file, setWhy);
    const taken = await sendAll(runs, setWhy);
    return logWords.ofRunsAreIn(taken, runs.length);
  });
  return (
    <Column gap="$3" testID="log-files">
      <Heading aria-level={2}>{logWords.asFiles}</Heading>
      <Row gap="$2" flexWrap="wrap">
        <Button label={logWords.saveAsCsv} icon={FileDown} onPress={saveCsv} testID="log-csv" />
        <Button label={logWords.saveAsJson} icon={FileDown} onPress={saveJson} testID="log-json" />
        <Button label={logWords.openLogOrList} icon={FileUp} onPress={open} testID="log-open" />
      </Row>
      <Small>{logWords.aListIsCsv}</Small>
      <Small role="status" aria-live="polite" testID="log-said">
        {working.busy ? logWords.working : working.trouble || said}
      </Small>
      {why.map((line) => (
        <Small key={line} color="$stop">
          {line}
        </Small>
      ))}
    </Column>
  );
}

type LoggedRuns = LogFile['runs'];

/** @throws with a sentence when it is no log */
function readLog(text: string, name: string): LoggedRuns {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    throw new Error(`“${name}” is not JSON.`);
  }
  const log = data as Partial<LogFile> | null;
  if (log?.format !== 'nucleon-log' || !Array.isArray(log.runs))
    throw new Error(`“${name}” is not a log: it says format "nucleon-log" and has runs.`);
  if (log.version !== 1)
    throw new Error(`“${name}” is version ${String(log.version)}; this Nucleon reads version 1.`);
  return log.runs as LoggedRuns;
}

/** @throws with a sentence when it is no list */
async function readCsv(file: File, tell: (why: readonly string[]) => void): Promise<LoggedRuns> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  const outcome = await askFiles('readRuns', { bytes, name: file.name }).done;
  if (outcome.kind === 'refused') throw new Error(outcome.message);
  tell(refusals(outcome));
  return outcome.rows.flatMap(({ outcome: row }) => (row.kind === 'good' ? [row.run] : []));
}

const refusals = ({ rows }: Extract<RunsCsvOutcome, { kind: 'read' }>): readonly string[] =>
  rows.flatMap(({ line, outcome }) =>
    outcome.kind === 'refused' ? [logWords.row(line, outcome.why)] : [],
  );

/** Sends each run; one that will not do does not keep the others. Returns how many were taken whole. */
async function sendAll(runs: LoggedRuns, tell: (why: readonly string[]) => void): Promise<number> {
  const trouble: string[] = [];
  let taken = 0;
  for (const { runId, events } of runs) {
    try {
      let refused = 0;
      for (const some of inParts(events))
        refused += (await postEvents(runId, { events: some })).refused.length;
      if (refused > 0) trouble.push(logWords.runAlreadyThere(runId, refused));
      else taken++;
    } catch (error) {
      trouble.push(logWords.runRefused(runId, error instanceof Error ? error.message : null));
    }
  }
  if (trouble.length > 0) tell(trouble);
  return taken;
}

const inParts = (events: readonly RunEvent[]): readonly (readonly RunEvent[])[] =>
  Array.from({ length: Math.ceil(events.length / MAX_EVENTS) }, (_, i) =>
    events.slice(i * MAX_EVENTS, (i + 1) * MAX_EVENTS),
  );
