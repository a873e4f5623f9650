import { readLoggedHoles } from './loggedHolesCsv';

const HEADER = 'date,material,thickness_mm,diameter_mm,minutes,outcome,force_n';
const read = (...rows: readonly string[]) => {
  const list = readLoggedHoles([HEADER, ...rows].join('\n'), {});
  if (list.kind === 'refused') throw new Error(list.message);
  return list;
};
const row = (force: string): string => `2026-05-01T09:00:00Z,slate,12,20,8,fine,${force}`;
const plannedS = (force: string): number => read(row(force)).holes[0]?.plannedS?.p50 ?? NaN;

it('sets a hole beside the plan of one pressed as it was', () => {
  expect(plannedS('20')).toBeGreaterThan(1.4 * plannedS('40'));
  expect(plannedS('')).toBeGreaterThan(0);
});

it('says which force it cannot take, and reads the other rows', () => {
  const { holes, unread } = read(row('firm'), row('-3'), row('30'));
  expect(holes).toHaveLength(1);
  expect(unread).toEqual([
    { line: 2, why: 'force_n is “firm”; it must be above 0, or left empty.' },
    { line: 3, why: 'force_n is “-3”; it must be above 0, or left empty.' },
  ]);
});

it('tells practice, sheets, hands and where it cracked, and doubts what does not go together', () => {
  const header = `${HEADER},sheet,person,practice,cracked_at,cutting_minutes`;
  const list = readLoggedHoles(
    [
      header,
      '2026-05-01,slate,12,20,8,fine,,box 3,Ada,yes,,6',
      '2026-05-02,slate,12,20,3,cracked,,box 3,Ada,,middle,',
      '2026-05-03,slate,12,20,8,fine,,,,,,9',
    ].join('\n'),
    {},
  );
  expect(list).toMatchObject({
    kind: 'read',
    holes: [
      { sheet: 'box 3', person: 'Ada', practice: true, share: 1, doubts: [] },
      { cracked: true, share: 0.5, takenS: 180 },
      { sheet: null, doubts: ['contradicts'] },
    ],
  });
});
