/** A map of so many at most: the least lately asked go first. */
export class Latest<K, V> {
  private readonly kept = new Map<K, V>();
  private readonly most: number;

  constructor(most: number) {
    this.most = most;
  }
  get size(): number {
    return this.kept.size;
  }
  has(key: K): boolean {
    return this.kept.has(key);
  }
  /** What is kept under a key, made where it is not. */
  of(key: K, make: () => V): V {
    const value = this.kept.has(key) ? this.kept.get(key)! : make();
    this.kept.delete(key);
    this.kept.set(key, value);
    while (this.kept.size > this.most) this.dropOldest();
    return value;
  }
  dropOldest(): void {
    for (const oldest of this.kept.keys()) return void this.kept.delete(oldest);
  }
}
