import { QueryTypes } from 'sequelize';
import type { Store } from './database.ts';

/** Machines whose simulation is kept: a quarter to one and a half megabytes each. */
const MOST_KEPT = 40;

export async function keepSimulation(store: Store, name: string, gzipped: Uint8Array, made: number): Promise<void> {
  const { simulations } = store.models;
  await store.write(async (transaction) => {
    await simulations.upsert({ name, gzipped: Buffer.from(gzipped), made }, { transaction });
    await store.sequelize.query(
      `DELETE FROM simulations WHERE name NOT IN (SELECT name FROM simulations ORDER BY made DESC LIMIT ${MOST_KEPT})`,
      { transaction },
    );
  });
}

export const hasSimulation = async (store: Store, name: string): Promise<boolean> =>
  (await store.models.simulations.count({ where: { name } })) > 0;

export const simulationOf = async (store: Store, name: string): Promise<Buffer | undefined> =>
  (await store.models.simulations.findByPk(name))?.gzipped;

/**
 * Forgets what another program has worked out: it may compute otherwise, and a page would show now this, now that.
 * `program` names the one that runs, a number from 1 to 2³¹ − 1.
 */
export async function forgetOthers(store: Store, program: number): Promise<void> {
  const [row] = await store.sequelize.query<{ user_version: number }>('PRAGMA user_version', {
    type: QueryTypes.SELECT,
  });
  if (row?.user_version === program) return;
  await store.write(async (transaction) => {
    for (const table of ['summaries', 'simulations'])
      await store.sequelize.query(`DELETE FROM ${table}`, { transaction });
    await store.sequelize.query(`PRAGMA user_version = ${Math.trunc(program)}`, { transaction });
  });
}
