import type { JournalEntry } from '@pondu/core';
import type { By } from '@pondu/core/schema';
import type { Transaction } from 'sequelize';
import { notFound } from '../http/problem.ts';
import type { Store } from './database.ts';
import type { JournalRow } from './models.ts';

type Noted = Pick<JournalRow, 'what' | 'ref' | 'before' | 'after'>;

/** Writes down what the house rules or a machine were before a change, in the same transaction as the change. */
export async function note(store: Store, change: Noted, by: By | undefined, transaction: Transaction): Promise<void> {
  const { device = '', initials = '' } = by ?? {};
  await store.models.journal.create({ ...change, at: new Date().toISOString(), device, initials }, { transaction });
}

/** Top-level fields that differ. */
function changedFields(before: string | null, after: string): string[] {
  const [a, b] = [before === null ? {} : (JSON.parse(before) as object), JSON.parse(after) as object];
  const value = (o: object, k: string) => JSON.stringify((o as Record<string, unknown>)[k]);
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((k) => value(a, k) !== value(b, k));
}

const JOURNAL_SHOWN = 100;

export async function readJournal(store: Store): Promise<JournalEntry[]> {
  const rows = await store.models.journal.findAll({ order: [['seq', 'DESC']], limit: JOURNAL_SHOWN });
  const machines = await store.models.machines.findAll({ where: { id: [...new Set(rows.map((r) => r.ref))] } });
  const nameOf = new Map(machines.map((m) => [m.id, String((JSON.parse(m.body) as { name?: unknown }).name ?? '')]));
  return rows.map(({ seq, at, what, ref, before, after, device, initials }) => ({
    seq: seq!,
    at,
    what,
    ref,
    name: nameOf.get(ref) ?? '',
    fields: changedFields(before, after),
    device,
    initials,
    canPutBack: before !== null,
  }));
}

/** What stood there before the change. */
export async function journalled(
  store: Store,
  seq: string,
): Promise<{ what: JournalRow['what']; ref: string; before: object }> {
  const row = /^\d+$/.test(seq) ? await store.models.journal.findByPk(Number(seq)) : null;
  if (!row || row.before === null) throw notFound('change to put back', seq);
  return { what: row.what, ref: row.ref, before: JSON.parse(row.before) as object };
}
