/**
 * Eigenvector of the smallest eigenvalue of a symmetric matrix, given row by row (n * n entries), by cyclic Jacobi
 * rotations (G. H. Golub and C. F. Van Loan, Matrix Computations, ch. 8). Unit length. The matrix is not changed.
 */
export function smallestEigenvector(matrix: ArrayLike<number>, n: number): Float64Array {
  const a = Float64Array.from(matrix);
  const v = new Float64Array(n * n);
  for (let i = 0; i < n; i++) v[i * n + i] = 1;
  for (let sweep = 0; sweep < MAX_SWEEPS && offDiagonal(a, n) > 0; sweep++)
    for (let p = 0; p < n - 1; p++) for (let q = p + 1; q < n; q++) rotateInPlace(a, v, n, p, q);
  let smallest = 0;
  for (let i = 1; i < n; i++) if (a[i * n + i]! < a[smallest * n + smallest]!) smallest = i;
  return Float64Array.from({ length: n }, (_, i) => v[i * n + smallest]!);
}

const MAX_SWEEPS = 60;

function offDiagonal(a: Float64Array, n: number): number {
  let off = 0;
  let scale = 0;
  for (let i = 0; i < n; i++)
    for (let j = 0; j < n; j++) {
      scale = Math.max(scale, Math.abs(a[i * n + j]!));
      if (i !== j) off = Math.max(off, Math.abs(a[i * n + j]!));
    }
  return off > 1e-16 * scale ? off : 0;
}

/** One rotation in the plane of p and q that makes a[p][q] zero. */
function rotateInPlace(a: Float64Array, v: Float64Array, n: number, p: number, q: number): void {
  const apq = a[p * n + q]!;
  if (apq === 0) return;
  const theta = (a[q * n + q]! - a[p * n + p]!) / (2 * apq);
  const t = (theta >= 0 ? 1 : -1) / (Math.abs(theta) + Math.hypot(theta, 1));
  const c = 1 / Math.hypot(t, 1);
  const s = t * c;
  for (let k = 0; k < n; k++) {
    const [kp, kq] = [a[k * n + p]!, a[k * n + q]!];
    a[k * n + p] = c * kp - s * kq;
    a[k * n + q] = s * kp + c * kq;
  }
  for (let k = 0; k < n; k++) {
    const [pk, qk] = [a[p * n + k]!, a[q * n + k]!];
    a[p * n + k] = c * pk - s * qk;
    a[q * n + k] = s * pk + c * qk;
    const [vp, vq] = [v[k * n + p]!, v[k * n + q]!];
    v[k * n + p] = c * vp - s * vq;
    v[k * n + q] = s * vp + c * vq;
  }
}
