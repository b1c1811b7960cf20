/** A pivot is taken over a larger one in its column, if it saves work, down to this share of it. */
const THRESHOLD = 1e-2;
/** In later matrices of the same pattern a pivot may have shrunk to this share of its column before all is reordered. */
const TOLERATED = 1e-7;

/**
 * Gaussian elimination of a sparse matrix whose pattern stays while its values change: the order of pivots is chosen
 * once, by least work among the large enough (Markowitz), and written down as a list of operations [6].
 * Matrices are row-major, n × n, and are overwritten with their factors.
 */
export class Elimination {
  private readonly size: number;
  private readonly pivotRow: Int32Array;
  private readonly pivotColumn: Int32Array;
  /** For each pivot, where its multipliers begin; then each multiplier's place, its row, and where its updates begin. */
  private readonly firstMultiplier: Int32Array;
  private readonly multiplier: Int32Array;
  private readonly multiplierRow: Int32Array;
  private readonly firstUpdate: Int32Array;
  private readonly updated: Int32Array;
  private readonly source: Int32Array;
  /** For each pivot, the columns of its row that are still unknown after it. */
  private readonly firstAfter: Int32Array;
  private readonly after: Int32Array;
  private readonly work: Float64Array;
  /** The column where no pivot was left when the order was chosen, or −1. */
  readonly singularColumn: number;

  /** `pattern` is true wherever any matrix to come may hold something; `sample` is one of them, left alone. */
  constructor(pattern: readonly boolean[], sample: Float64Array, size: number) {
    this.size = size;
    this.work = new Float64Array(size);
    const m = Float64Array.from(sample);
    const filled = [...pattern];
    const rows = new Set(Array.from({ length: size }, (_, i) => i));
    const columns = new Set(rows);
    const pivotRow: number[] = [];
    const pivotColumn: number[] = [];
    const firstMultiplier: number[] = [];
    const multiplier: number[] = [];
    const multiplierRow: number[] = [];
    const firstUpdate: number[] = [];
    const updated: number[] = [];
    const source: number[] = [];
    const firstAfter: number[] = [];
    const after: number[] = [];
    let singular = -1;
    while (rows.size > 0) {
      const best = choose(m, filled, rows, columns, size);
      if (!best) {
        singular = [...columns][0]!;
        break;
      }
      const { row, column } = best;
      rows.delete(row);
      columns.delete(column);
      pivotRow.push(row);
      pivotColumn.push(column);
      const open = [...columns].filter((c) => filled[row * size + c]);
      firstAfter.push(after.length);
      after.push(...open);
      firstMultiplier.push(multiplier.length);
      for (const r of rows) {
        const place = r * size + column;
        if (!filled[place]) continue;
        multiplier.push(place);
        multiplierRow.push(r);
        firstUpdate.push(updated.length);
        const f = m[place]! / m[row * size + column]!;
        for (const c of open) {
          updated.push(r * size + c);
          source.push(row * size + c);
          filled[r * size + c] = true;
          m[r * size + c]! -= f * m[row * size + c]!;
        }
      }
    }
    firstMultiplier.push(multiplier.length);
    firstUpdate.push(updated.length);
    firstAfter.push(after.length);
    this.singularColumn = singular;
    this.pivotRow = Int32Array.from(pivotRow);
    this.pivotColumn = Int32Array.from(pivotColumn);
    this.firstMultiplier = Int32Array.from(firstMultiplier);
    this.multiplier = Int32Array.from(multiplier);
    this.multiplierRow = Int32Array.from(multiplierRow);
    this.firstUpdate = Int32Array.from(firstUpdate);
    this.updated = Int32Array.from(updated);
    this.source = Int32Array.from(source);
    this.firstAfter = Int32Array.from(firstAfter);
    this.after = Int32Array.from(after);
  }

  /** Overwrites `m` with its factors; false when a pivot has become too small, and the order must be chosen anew. */
  factor(m: Float64Array): boolean {
    const { size, pivotRow, pivotColumn, firstMultiplier, multiplier, firstUpdate, updated, source } = this;
    for (let s = 0; s < size; s++) {
      const pivot = m[pivotRow[s]! * size + pivotColumn[s]!]!;
      const [from, to] = [firstMultiplier[s]!, firstMultiplier[s + 1]!];
      let largest = 0;
      for (let l = from; l < to; l++) {
        const entry = Math.abs(m[multiplier[l]!]!);
        if (entry > largest) largest = entry;
      }
      if (!(Math.abs(pivot) > TOLERATED * largest) || pivot === 0) return false;
      for (let l = from; l < to; l++) {
        const place = multiplier[l]!;
        if (m[place] === 0) continue;
        const f = m[place]! / pivot;
        m[place] = f;
        for (let u = firstUpdate[l]!, end = firstUpdate[l + 1]!; u < end; u++) m[updated[u]!]! -= f * m[source[u]!]!;
      }
    }
    return true;
  }

  /** Solves with the factors for one right-hand side, which is left alone. */
  solve(m: Float64Array, rhs: Float64Array): Float64Array {
    const { size, pivotRow, pivotColumn, firstMultiplier, multiplier, multiplierRow, firstAfter, after, work } = this;
    work.set(rhs);
    for (let s = 0; s < size; s++) {
      const v = work[pivotRow[s]!]!;
      if (v === 0) continue;
      for (let l = firstMultiplier[s]!, end = firstMultiplier[s + 1]!; l < end; l++)
        work[multiplierRow[l]!]! -= m[multiplier[l]!]! * v;
    }
    const x = new Float64Array(size);
    for (let s = size - 1; s >= 0; s--) {
      const row = pivotRow[s]!;
      let sum = work[row]!;
      for (let a = firstAfter[s]!, end = firstAfter[s + 1]!; a < end; a++)
        sum -= m[row * size + after[a]!]! * x[after[a]!]!;
      x[pivotColumn[s]!] = sum / m[row * size + pivotColumn[s]!]!;
    }
    return x;
  }
}

/** The pivot of least work, (row's others)·(column's others), among those not small in their column. */
function choose(m: Float64Array, filled: boolean[], rows: Set<number>, columns: Set<number>, size: number) {
  const width = new Map([...rows].map((r) => [r, [...columns].filter((c) => filled[r * size + c]).length]));
  let best: { row: number; column: number; work: number; share: number } | undefined;
  for (const column of columns) {
    const held = [...rows].filter((r) => filled[r * size + column]);
    const largest = held.reduce((most, r) => Math.max(most, Math.abs(m[r * size + column]!)), 0);
    if (!(largest > 0)) continue;
    for (const row of held) {
      const share = Math.abs(m[row * size + column]!) / largest;
      if (share < THRESHOLD) continue;
      const work = (width.get(row)! - 1) * (held.length - 1);
      if (!best || work < best.work || (work === best.work && share > best.share)) best = { row, column, work, share };
    }
  }
  return best;
}
