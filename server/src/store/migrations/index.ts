import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { first } from './001-first.ts';
import { lists } from './002-lists.ts';
import { pictures } from './003-pictures.ts';
import type { Migration } from './migration.ts';

const MIGRATIONS: readonly Migration[] = [first, lists, pictures];

export async function migrate(sequelize: Sequelize): Promise<void> {
  const umzug = new Umzug({
    migrations: MIGRATIONS.map(({ name, up }) => ({
      name,
      up: async () => {
        for (const statement of up) await sequelize.query(statement);
      },
    })),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  await umzug.up();
}
