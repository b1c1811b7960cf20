import type { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { first } from './001-first.ts';

export interface Migration {
  readonly name: string;
  /** Statements in order. Written out, because the query interface rebuilds tables and drops their checks. */
  readonly up: readonly string[];
}

const MIGRATIONS: readonly Migration[] = [first];

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
