/**
 * LU factors of a dense square matrix with partial pivoting, made once and used for many right-hand sides.
 * `matrix` is row-major, n × n, and is overwritten with the factors.
 */
export class Lu {
  readonly matrix: Float64Array;
  readonly size: number;
  /** The column where no pivot was left, or −1. */
  readonly singularColumn: number;
  private readonly order: Int32Array;

  constructor(matrix: Float64Array, size: number) {
    this.matrix = matrix;
    this.size = size;
    this.order = Int32Array.from({ length: size }, (_, i) => i);
    this.singularColumn = this.factor();
  }

  private factor(): number {
    const { matrix: m, size: n } = this;
    // A pivot this far below the largest entry is rounding, not data: n·ε of the matrix's own scale.
    let scale = 0;
    for (let i = 0; i < m.length; i++) scale = Math.max(scale, Math.abs(m[i]!));
    const negligible = scale * n * Number.EPSILON * 1e-9;
    for (let k = 0; k < n; k++) {
      let pivot = k;
      let best = Math.abs(m[k * n + k]!);
      for (let i = k + 1; i < n; i++) {
        const size = Math.abs(m[i * n + k]!);
        if (size > best) [best, pivot] = [size, i];
      }
      if (!(best > negligible)) return k;
      if (pivot !== k) this.swapRows(pivot, k);
      const diagonal = m[k * n + k]!;
      for (let i = k + 1; i < n; i++) {
        const entry = m[i * n + k]!;
        if (entry === 0) continue;
        const f = entry / diagonal;
        m[i * n + k] = f;
        for (let j = k + 1; j < n; j++) m[i * n + j]! -= f * m[k * n + j]!;
      }
    }
    return -1;
  }

  private swapRows(p: number, q: number): void {
    const { matrix: m, size: n, order } = this;
    for (let j = 0; j < n; j++) [m[p * n + j], m[q * n + j]] = [m[q * n + j]!, m[p * n + j]!];
    [order[p], order[q]] = [order[q]!, order[p]!];
  }

  /** Solves for one right-hand side; the argument is left alone. */
  solve(rhs: Float64Array): Float64Array {
    const { matrix: m, size: n, order } = this;
    const x = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      let sum = rhs[order[i]!]!;
      for (let j = 0; j < i; j++) sum -= m[i * n + j]! * x[j]!;
      x[i] = sum;
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = x[i]!;
      for (let j = i + 1; j < n; j++) sum -= m[i * n + j]! * x[j]!;
      x[i] = sum / m[i * n + i]!;
    }
    return x;
  }
}
