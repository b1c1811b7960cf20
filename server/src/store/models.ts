import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';

export interface MachineRow {
  id: string;
  body: string;
  version: number;
  deletedAt: string | null;
  createdAt: string;
  updatedAt: string;
}
export interface JobRow extends MachineRow {
  machineId: string;
}
export interface EventRow {
  seq?: number;
  jobId: string;
  eventId: string;
  type: string;
  body: string;
}
export interface SnagRow {
  id: string;
  jobId: string;
  body: string;
}
export interface HouseRow {
  id: number;
  body: string;
  version: number;
}

type Of<Row extends object> = ModelStatic<Model<Row> & Row>;
export interface Models {
  machines: Of<MachineRow>;
  jobs: Of<JobRow>;
  events: Of<EventRow>;
  snags: Of<SnagRow>;
  house: Of<HouseRow>;
}

const text = (field?: string) => ({ type: DataTypes.TEXT, ...(field ? { field } : {}) });
const document = {
  id: { type: DataTypes.TEXT, primaryKey: true },
  body: text(),
  version: { type: DataTypes.INTEGER },
  deletedAt: text('deleted_at'),
  createdAt: text('created_at'),
  updatedAt: text('updated_at'),
};

/** Rows as they stand in the tables of the migrations. Times are ISO text that we set ourselves. */
export function defineModels(sequelize: Sequelize): Models {
  const options = (tableName: string) => ({ tableName, timestamps: false });
  return {
    machines: sequelize.define('machine', document, options('machines')),
    jobs: sequelize.define('job', { ...document, machineId: text('machine_id') }, options('jobs')),
    events: sequelize.define(
      'event',
      {
        seq: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        jobId: text('job_id'),
        eventId: text('event_id'),
        type: text(),
        body: text(),
      },
      options('job_events'),
    ),
    snags: sequelize.define(
      'snag',
      { id: { type: DataTypes.TEXT, primaryKey: true }, jobId: text('job_id'), body: text() },
      options('snags'),
    ),
    house: sequelize.define(
      'house',
      { id: { type: DataTypes.INTEGER, primaryKey: true }, body: text(), version: { type: DataTypes.INTEGER } },
      options('house'),
    ),
  } as unknown as Models;
}
