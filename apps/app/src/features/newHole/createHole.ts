import type { StoredHole, StoredJob, StoredPiece } from '@nucleon/contract/wire';
import { isNotSure, type Answers } from '@nucleon/core/advice/start/answers';
import { startPiece } from '@nucleon/core/advice/start/startPiece';
import { startName } from '@nucleon/core/words/advice/startQuestions';
import { newHoleWords } from '@nucleon/core/words/screens/newHole';
import { v5 as idFrom } from 'uuid';
import { asStored, putNew } from '../../api/newThings';

export interface NewHole {
  readonly answers: Answers;
  /** Of this start, made once: all it makes is named after it and what was answered. */
  readonly startId: string;
  /** The job it joins; a new one when absent. */
  readonly jobId?: string | undefined;
}

export interface MadeHole {
  readonly job: StoredJob;
  readonly pieces: readonly { readonly piece: StoredPiece; readonly hole: StoredHole }[];
  readonly notSure: boolean;
  /** false where it waits on the device for the server to answer. */
  readonly sent: boolean;
}

/**
 * Stores what was answered as pieces with a hole each. Sent again after a lost answer, or after a reload, it makes
 * nothing twice: the same start and answers always come to the same ids.
 */
export async function createHole(
  { answers, startId, jobId: given }: NewHole,
  now: () => Date = () => new Date(),
): Promise<MadeHole> {
  const { piece, hole, count } = startPiece(answers);
  const name = startName(answers);
  const start = idFrom(JSON.stringify(Object.entries(answers).sort()), startId);
  const jobId = given ?? idFrom('job', start);
  const pieces = Array.from({ length: count }, (_, index) => {
    const number = index + 1;
    return {
      pieceId: idFrom(`piece ${number}`, start),
      holeId: idFrom(`hole ${number}`, start),
      piece: { ...piece, name: count > 1 ? `${name} ${number}` : name },
      hole: { ...hole, label: newHoleWords.hole1 },
    };
  });
  const puts = [
    ...(given ? [] : [{ path: `/jobs/${jobId}`, body: { name, version: 0 } }]),
    ...pieces.flatMap((one) => [
      { path: `/jobs/${jobId}/pieces/${one.pieceId}`, body: { ...one.piece, version: 0 } },
      { path: `/pieces/${one.pieceId}/holes/${one.holeId}`, body: { ...one.hole, version: 0 } },
    ]),
  ];
  const sent = await putNew(...puts);
  return {
    job: asStored({ id: jobId, name }, now()),
    pieces: pieces.map(({ pieceId, holeId, piece: one, hole: its }) => ({
      piece: asStored({ ...one, id: pieceId, jobId }, now()),
      hole: asStored({ ...its, id: holeId, pieceId }, now()),
    })),
    notSure: isNotSure(answers),
    sent,
  };
}
