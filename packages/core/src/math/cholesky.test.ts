import { cholesky, inverseCholesky, solveCholesky } from './cholesky';

// 4 12 -16 / 12 37 -43 / -16 -43 98 = L·Lᵀ with L = 2 0 0 / 6 1 0 / -8 5 3
const A = Float64Array.of(4, 12, -16, 12, 37, -43, -16, -43, 98);

it('factors a matrix known by hand', () => {
  expect([...(cholesky(A, 3) ?? [])]).toEqual([2, 0, 0, 6, 1, 0, -8, 5, 3]);
});

it('solves and inverts by the factor', () => {
  const l = cholesky(A, 3) ?? new Float64Array(9);
  const x = solveCholesky(l, 3, Float64Array.of(-20, -43, 192));
  [1, 2, 3].forEach((value, i) => {
    expect(x[i]).toBeCloseTo(value, 9);
  });
  const inverse = inverseCholesky(l, 3);
  for (let i = 0; i < 3; i++)
    for (let j = 0; j < 3; j++) {
      let sum = 0;
      for (let k = 0; k < 3; k++) sum += (A[i * 3 + k] ?? 0) * (inverse[k * 3 + j] ?? 0);
      expect(sum).toBeCloseTo(i === j ? 1 : 0, 9);
    }
});

it('tells a matrix that is not positive definite', () => {
  expect(cholesky(Float64Array.of(1, 2, 2, 1), 2)).toBeNull();
});
