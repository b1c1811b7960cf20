import { DataTypes, type Model, type ModelStatic, type Sequelize } from 'sequelize';

export interface MachineRow {
  id: string;
  body: string;
  version: number;
  deletedAt: string | null;
  createdAt: string;
  updatedAt: string;
  /** The import that it belongs to until the whole of it is in; nobody sees it before. */
  importing?: string | null;
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
export interface DeviceRow {
  id: string;
  name: string;
  initials: string;
  tokenHash: string;
  createdAt: string;
  seenAt: string;
  outAt: string | null;
}
export interface JournalRow {
  seq?: number;
  at: string;
  what: 'house' | 'machine';
  ref: string;
  before: string | null;
  after: string;
  device: string;
  initials: string;
}
export interface PictureRow {
  id: string;
  jobId: string;
  type: string;
  sha256: string;
  bytes: Buffer;
  at: string;
}
export interface SummaryRow {
  jobId: string;
  stand: string;
  body: string;
  /** What the job's first screen asks for, as JSON; null where the machine cannot be computed. */
  ahead: string | null;
}

export interface SimulationRow {
  name: string;
  gzipped: Buffer;
  /** When, in milliseconds: the oldest go first. */
  made: number;
}

export interface LessonStoredRow {
  id: string;
  machineId: string | null;
  body: string;
  truth: string;
  moves: string;
  /** Once it is over and was asked for. */
  review: string | null;
  playedBy: string;
  begunAt: string;
  overAt: string | null;
}

type Of<Row extends object> = ModelStatic<Model<Row> & Row>;
export interface Models {
  machines: Of<MachineRow>;
  jobs: Of<JobRow>;
  events: Of<EventRow>;
  snags: Of<SnagRow>;
  house: Of<HouseRow>;
  devices: Of<DeviceRow>;
  journal: Of<JournalRow>;
  summaries: Of<SummaryRow>;
  simulations: Of<SimulationRow>;
  pictures: Of<PictureRow>;
  lessons: Of<LessonStoredRow>;
}

const text = (field?: string) => ({ type: DataTypes.TEXT, ...(field ? { field } : {}) });
const key = { type: DataTypes.TEXT, primaryKey: true };
const counted = { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true };
const document = {
  id: key,
  body: text(),
  version: { type: DataTypes.INTEGER },
  deletedAt: text('deleted_at'),
  createdAt: text('created_at'),
  updatedAt: text('updated_at'),
  importing: text(),
};
const job = { ...document, machineId: text('machine_id') };
const event = { seq: counted, jobId: text('job_id'), eventId: text('event_id'), type: text(), body: text() };
const device = {
  id: key,
  name: text(),
  initials: text(),
  tokenHash: text('token_hash'),
  createdAt: text('created_at'),
  seenAt: text('seen_at'),
  outAt: text('out_at'),
};
const journal = {
  seq: counted,
  at: text(),
  what: text(),
  ref: text(),
  before: text(),
  after: text(),
  device: text(),
  initials: text(),
};
const picture = {
  id: key,
  jobId: text('job_id'),
  type: text(),
  sha256: text(),
  bytes: { type: DataTypes.BLOB },
  at: text(),
};
const house = { id: { type: DataTypes.INTEGER, primaryKey: true }, body: text(), version: { type: DataTypes.INTEGER } };

const lesson = {
  id: key,
  machineId: text('machine_id'),
  body: text(),
  truth: text(),
  moves: text(),
  review: text(),
  playedBy: text('played_by'),
  begunAt: text('begun_at'),
  overAt: text('over_at'),
};

/** Rows as they stand in the tables of the migrations. Times are ISO text that we set ourselves. */
export function defineModels(sequelize: Sequelize): Models {
  const options = (tableName: string) => ({ tableName, timestamps: false });
  return {
    machines: sequelize.define('machine', document, options('machines')),
    jobs: sequelize.define('job', job, options('jobs')),
    events: sequelize.define('event', event, options('job_events')),
    snags: sequelize.define('snag', { id: key, jobId: text('job_id'), body: text() }, options('snags')),
    pictures: sequelize.define('picture', picture, options('pictures')),
    house: sequelize.define('house', house, options('house')),
    devices: sequelize.define('device', device, options('devices')),
    journal: sequelize.define('journal', journal, options('journal')),
    summaries: sequelize.define(
      'summary',
      { jobId: { ...key, field: 'job_id' }, stand: text(), body: text(), ahead: text() },
      options('summaries'),
    ),
    lessons: sequelize.define('lesson', lesson, options('lessons')),
    simulations: sequelize.define(
      'simulation',
      { name: { ...key, field: 'name' }, gzipped: { type: DataTypes.BLOB }, made: { type: DataTypes.INTEGER } },
      options('simulations'),
    ),
  } as unknown as Models;
}
