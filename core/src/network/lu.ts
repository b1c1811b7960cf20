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
    this.order = new Int32Array(size);
    for (let i = 0; i < size; i++) this.order[i] = i;
    this.singularColumn = this.factor();
  }

  private factor(): number {
    const { matrix: m, size: n } = this;
    // A pivot this far below the largest entry is rounding, not data: n·ε of the matrix's own scale.
    let scale = 0;
    for (let i = 0; i < m.length; i++) {
      const entry = Math.abs(m[i]!);
      if (entry > scale) scale = entry;
    }
    const negligible = scale * n * Number.EPSILON * 1e-9;
    for (let k = 0; k < n; k++) {
      const top = k * n;
      let pivot = k;
      let best = Math.abs(m[top + k]!);
      for (let i = k + 1; i < n; i++) {
        const size = Math.abs(m[i * n + k]!);
        if (size > best) {
          best = size;
          pivot = i;
        }
      }
      if (!(best > negligible)) return k;
      if (pivot !== k) this.swapRows(pivot, k);
      const diagonal = m[top + k]!;
      for (let i = k + 1; i < n; i++) {
        const row = i * n;
        const entry = m[row + k]!;
        // Most of a network's matrix is nothing.
        if (entry === 0) continue;
        const f = entry / diagonal;
        m[row + k] = f;
        for (let j = k + 1; j < n; j++) {
          const above = m[top + j]!;
          if (above !== 0) m[row + j]! -= f * above;
        }
      }
    }
    return -1;
  }

  private swapRows(p: number, q: number): void {
    const { matrix: m, size: n, order } = this;
    for (let j = 0, a = p * n, b = q * n; j < n; j++, a++, b++) {
      const held = m[a]!;
      m[a] = m[b]!;
      m[b] = held;
    }
    const held = order[p]!;
    order[p] = order[q]!;
    order[q] = held;
  }

  /** Solves for one right-hand side; the argument is left alone. */
  solve(rhs: Float64Array): Float64Array {
    const { matrix: m, size: n, order } = this;
    const x = new Float64Array(n);
    for (let i = 0; i < n; i++) {
      let sum = rhs[order[i]!]!;
      for (let j = 0, a = i * n; j < i; j++, a++) sum -= m[a]! * x[j]!;
      x[i] = sum;
    }
    for (let i = n - 1; i >= 0; i--) {
      let sum = x[i]!;
      for (let j = i + 1, a = i * n + j; j < n; j++, a++) sum -= m[a]! * x[j]!;
      x[i] = sum / m[i * n + i]!;
    }
    return x;
  }
}
