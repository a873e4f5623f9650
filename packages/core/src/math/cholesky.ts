/**
 * Cholesky factor L of A = L·Lᵀ, row by row.
 * @param a symmetric n × n, row-major; only its lower half is read
 * @returns L with zeros above its diagonal; null where A is not positive definite
 */
export function cholesky(a: Float64Array, n: number): Float64Array | null {
  const l = new Float64Array(n * n);
  for (let i = 0; i < n; i++)
    for (let j = 0; j <= i; j++) {
      let sum = at(a, i * n + j);
      for (let k = 0; k < j; k++) sum -= at(l, i * n + k) * at(l, j * n + k);
      if (i === j) {
        if (!(sum > 0)) return null;
        l[i * n + i] = Math.sqrt(sum);
      } else l[i * n + j] = sum / at(l, j * n + j);
    }
  return l;
}

/** x of L·Lᵀ·x = b. */
export function solveCholesky(l: Float64Array, n: number, b: Float64Array): Float64Array {
  const x = Float64Array.from(b);
  for (let i = 0; i < n; i++) {
    let sum = at(x, i);
    for (let k = 0; k < i; k++) sum -= at(l, i * n + k) * at(x, k);
    x[i] = sum / at(l, i * n + i);
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = at(x, i);
    for (let k = i + 1; k < n; k++) sum -= at(l, k * n + i) * at(x, k);
    x[i] = sum / at(l, i * n + i);
  }
  return x;
}

/** A⁻¹ = L⁻ᵀ·L⁻¹, row-major, both halves. */
export function inverseCholesky(l: Float64Array, n: number): Float64Array {
  const inverse = new Float64Array(n * n);
  // M = L⁻¹, lower; then A⁻¹(i, j) = Σ_k M(k, i)·M(k, j).
  const m = new Float64Array(n * n);
  // Row by row, so that memory is read in order.
  for (let i = 0; i < n; i++) {
    const diagonal = at(l, i * n + i);
    for (let k = 0; k < i; k++) {
      const lik = at(l, i * n + k);
      if (lik !== 0)
        for (let j = 0; j <= k; j++) m[i * n + j] = at(m, i * n + j) - lik * at(m, k * n + j);
    }
    for (let j = 0; j < i; j++) m[i * n + j] = at(m, i * n + j) / diagonal;
    m[i * n + i] = 1 / diagonal;
  }
  for (let k = 0; k < n; k++)
    for (let i = 0; i <= k; i++) {
      const mki = at(m, k * n + i);
      if (mki !== 0)
        for (let j = 0; j <= i; j++)
          inverse[i * n + j] = at(inverse, i * n + j) + mki * at(m, k * n + j);
    }
  for (let i = 0; i < n; i++)
    for (let j = 0; j < i; j++) inverse[j * n + i] = at(inverse, i * n + j);
  return inverse;
}

const at = (values: Float64Array, index: number): number => values[index] ?? 0;
