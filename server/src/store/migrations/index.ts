import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { first } from './001-first.ts';
import { lists } from './002-lists.ts';
import { pictures } from './003-pictures.ts';
import { simulations } from './004-simulations.ts';
import { asides } from './005-asides.ts';
import { lessons } from './006-lessons.ts';
import { cares } from './007-cares.ts';
import type { Migration } from './migration.ts';

export const MIGRATIONS: readonly Migration[] = [first, lists, pictures, simulations, asides, lessons, cares];

/**
 * Brings the data up to date, each step whole or not at all: what stops in the middle of one leaves what was there.
 * `ahead` is told the first step, where data of an earlier version is there to be changed.
 */
export async function migrate(
  sequelize: Sequelize,
  migrations = MIGRATIONS,
  ahead: (step: string) => Promise<void> = () => Promise.resolve(),
): Promise<void> {
  const umzug = new Umzug({
    migrations: migrations.map(({ name, up }) => ({
      name,
      up: () =>
        sequelize.transaction(async (transaction) => {
          for (const statement of up) await sequelize.query(statement, { transaction });
        }),
    })),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  const [executed, pending] = [await umzug.executed(), await umzug.pending()];
  if (executed.length > 0 && pending[0]) await ahead(pending[0].name);
  await umzug.up();
}
