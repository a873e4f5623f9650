import type { Piece } from '@nucleon/core/documents/piece';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import type { Plan } from '@nucleon/core/documents/plan';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { show, typeIn } from '../../testing';
import { DETAIL, fakeApi, HOLE, PIECE } from '../../testingApi';
import type { Editing } from '../hole/editing';
import { CheckList } from './CheckList';
import { StopPanel } from './StopPanel';
import { useGateAnswers } from './useGateAnswers';

const AT = new Date('2026-05-02T09:00:00Z');

function scene(piece: Partial<Piece>): Plan {
  const outcome = makePlan({
    job: {},
    piece: { ...PIECE, ...piece },
    hole: { ...HOLE, setup: {} },
    kit: {},
    materials: [],
    habits: {},
  });
  if (outcome.kind !== 'planned') throw new Error(JSON.stringify(outcome.faults));
  return outcome.plan;
}

const changePiece = jest.fn();
const changeHole = jest.fn();
const edit = { piece: PIECE, hole: HOLE, changePiece, changeHole } as unknown as Editing;

function Panel({ plan }: { readonly plan: Plan }) {
  const answers = useGateAnswers(edit, DETAIL.job, () => AT);
  return (
    <>
      <StopPanel plan={plan} answers={answers} onKnow={jest.fn()} onInstead={jest.fn()} />
      <CheckList plan={plan} answers={answers} />
    </>
  );
}

beforeEach(() => {
  changePiece.mockClear();
  changeHole.mockClear();
});

it('records an answer with its time and what it was given for', () => {
  show(<Panel plan={scene({ glassTreatment: 'unknown' })} />);
  fireEvent.click(screen.getByTestId('answer-polariser-clear'));
  expect(changePiece).toHaveBeenCalledWith(
    {
      checks: [
        {
          hazard: 'unknown-treatment',
          answer: 'polariser-clear',
          at: AT.toISOString(),
          of: 'float-glass|sheet|unknown',
        },
      ],
    },
    'gate-unknown-treatment',
  );
});

it('wants a scan in writing before it counts', () => {
  const wall = scene({
    form: 'wall',
    material: 'clay-brick',
    thicknessMm: 215,
    outline: { kind: 'rectangle', widthMm: 2000, heightMm: 2400 },
  });
  show(<Panel plan={wall} />);
  fireEvent.click(screen.getByTestId('answer-scanned-clear'));
  expect(changeHole).not.toHaveBeenCalled();
  typeIn(screen.getByTestId('note-hidden-services'), 'Scanner, own, 80 mm');
  fireEvent.click(screen.getByTestId('record-hidden-services'));
  expect(changeHole.mock.calls[0]?.[0]).toMatchObject({
    checks: [{ answer: 'scanned-clear', note: 'Scanner, own, 80 mm' }],
  });
});

it('offers no answer to a stop that has no way round', () => {
  show(<Panel plan={scene({ glassTreatment: 'tempered' })} />);
  expect(screen.getByText('There is no way round this one.')).toBeTruthy();
  expect(screen.queryByText(/Polariser/)).toBeNull();
});

it('writes an answer for the whole job to the job', async () => {
  const log = fakeApi();
  show(<Panel plan={scene({})} />);
  fireEvent.click(screen.getByTestId('answer-eyes-covered'));
  await waitFor(() => {
    expect(log.find((sent) => sent.method === 'PUT')).toMatchObject({
      path: '/jobs/j1',
      body: { name: 'Clock court', version: 1, checks: [{ hazard: 'eyes' }] },
    });
  });
});

it('says when it could not be stored', async () => {
  fakeApi((sent) => (sent.method === 'PUT' ? { status: 0, body: null } : undefined));
  show(<Panel plan={scene({})} />);
  fireEvent.click(screen.getByTestId('answer-eyes-covered'));
  expect(await screen.findByText('The server cannot be reached.')).toBeTruthy();
});
