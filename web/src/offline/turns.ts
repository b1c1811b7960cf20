/** Pages of this browser send what waits in turns: the same entry must not go up from two of them at once. */
const LOCK = 'pondu-outbox';
const locksHere = (): LockManager | undefined => (navigator as { locks?: LockManager }).locks;

/** Works while no other page sends anything. Without locks, as on a plain address, it just works. */
export async function alone<T>(work: () => Promise<T>): Promise<T> {
  const locks = locksHere();
  if (!locks) return work();
  return (await locks.request(LOCK, work)) as T;
}

/** Works beside others that do, unless one is alone at it: then nothing is done and nothing comes back. */
export async function beside<T>(work: () => Promise<T>): Promise<{ readonly done: T } | undefined> {
  const locks = locksHere();
  if (!locks) return { done: await work() };
  return (await locks.request(LOCK, { mode: 'shared', ifAvailable: true }, async (lock) =>
    lock ? { done: await work() } : undefined,
  )) as { readonly done: T } | undefined;
}
