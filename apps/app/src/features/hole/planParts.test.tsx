import { headlineFigures } from '@nucleon/core/words/plan/figures';
import { makePlan } from '@nucleon/core/words/plan/makePlan';
import type { Plan } from '@nucleon/core/documents/plan';
import { METRIC } from '@nucleon/core/data/unitSystem';
import { fireEvent, screen } from '@testing-library/react';
import { show } from '../../testing';
import { MayWork } from '../../ui/mayWork';
import { FigureGrid } from './FigureGrid';
import { SaveMark } from '../draft/SaveMark';
import { StepList } from './StepList';

function planOf(glassTreatment: 'annealed' | 'unknown' | 'tempered'): Plan {
  const outcome = makePlan({
    job: {},
    piece: {
      id: 'p',
      name: 'Pane',
      form: 'sheet',
      material: 'float-glass',
      thicknessMm: 6,
      glassTreatment,
      outline: { kind: 'rectangle', widthMm: 300, heightMm: 200 },
    },
    hole: { id: 'h', xMm: 150, yMm: 100, diameterMm: 10, depth: { kind: 'through' } },
    kit: {},
    materials: [],
    habits: {},
  });
  if (outcome.kind !== 'planned') throw new Error('faulty');
  return outcome.plan;
}

it('opens one figure’s working at a time', () => {
  show(<FigureGrid figures={headlineFigures(planOf('annealed'), METRIC)} columns={2} />);
  fireEvent.click(screen.getByTestId('figure-feedForceN'));
  expect(screen.getByText(/least of p·A_c/)).toBeTruthy();
  fireEvent.click(screen.getByTestId('figure-rpm'));
  expect(screen.queryByText(/least of p·A_c/)).toBeNull();
  fireEvent.click(screen.getByTestId('figure-rpm'));
  expect(screen.queryByTestId('working-rpm')).toBeNull();
});

it('says to whoever only reads that what they try is not kept', () => {
  show(
    <MayWork value={false}>
      <SaveMark save={{ kind: 'waiting' }} />
    </MayWork>,
  );
  expect(screen.getByText('Tried, not kept')).toBeTruthy();
});

it('shows the depth of a step in the drawing', () => {
  const showDepth = jest.fn();
  const plan = planOf('annealed');
  show(<StepList steps={plan.steps} onShowDepth={showDepth} />);
  fireEvent.click(screen.getByText(/^Seat with/));
  expect(showDepth).toHaveBeenCalledWith(0.25);
  expect(screen.getByText('Mark the hole')).toBeTruthy();
});

it.each([
  [{ kind: 'saved' }, 'Saved'],
  [{ kind: 'saving' }, 'Saving…'],
  [{ kind: 'unreachable', message: '' }, 'Kept here'],
  [{ kind: 'refused', message: '' }, 'Not saved'],
  [{ kind: 'conflict', theirs: null, clashes: [] }, 'Changed elsewhere'],
  [{ kind: 'gone', message: '' }, 'Deleted elsewhere'],
] as const)('says %o in a word', (save, word) => {
  show(<SaveMark save={save} />);
  expect(screen.getByText(word)).toBeTruthy();
});
