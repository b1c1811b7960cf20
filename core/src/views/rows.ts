import type { House } from '../schema/house.ts';
import type { JobBody, JobEvent, Snag } from '../schema/job.ts';
import type { MachineBody } from '../schema/machine.ts';
import type { BaySummary } from './bay.ts';

/** What the workshop's server gives out and a page takes in: the same words on either side. */
export interface StoredMachine {
  id: string;
  version: number;
  updatedAt: string;
  /** When it was put away, if it was; it can be brought back. */
  awayAt: string | null;
  machine: MachineBody;
}
export interface StoredJob {
  id: string;
  machineId: string;
  version: number;
  updatedAt: string;
  job: JobBody;
  events: JobEvent[];
  snags: Snag[];
  /** Events and snags that are kept but cannot be read as they are stored. */
  unreadable: number;
}
export interface StoredHouse {
  house: House;
  version: number;
}

/** One page of a list. `next` is given back to get the one after it; null at the end. */
export interface Page<Row> {
  rows: Row[];
  next: string | null;
}
/** What a bay shows, or why it cannot be computed. */
export type Summary = { ok: true; bay: BaySummary } | { ok: false; message: string };

/** A job as a list shows it: without its events. */
export interface JobRow {
  id: string;
  machineId: string;
  machineName: string;
  version: number;
  updatedAt: string;
  awayAt: string | null;
  job: JobBody | null;
  /** Why it cannot be shown, if it cannot. */
  unreadable: string | null;
  /** What its bay shows; null while it is being worked out. */
  summary: Summary | null;
}
export interface MachineRow {
  id: string;
  version: number;
  updatedAt: string;
  awayAt: string | null;
  machine: MachineBody | null;
  unreadable: string | null;
  openJobs: number;
}

/** A phone, tablet or computer that has been let in, with whose it is. */
export interface Device {
  id: string;
  name: string;
  initials: string;
  createdAt: string;
  seenAt: string;
}
/** This device, the others, and the key for the next one. */
export interface Door {
  me: Device | null;
  locked: boolean;
  secure: boolean;
  key: string | null;
  addresses: readonly string[];
  devices: Device[];
}
/** A change of the house rules or of a machine. */
export interface JournalEntry {
  seq: number;
  at: string;
  what: 'house' | 'machine';
  ref: string;
  /** Of the machine, as it is called now. */
  name: string;
  /** Names of the fields that changed. */
  fields: string[];
  device: string;
  initials: string;
  /** Whether there was something before, to be put back. */
  canPutBack: boolean;
}

/** What a page that is open must know of: one `type` a member. */
export type Change =
  | { type: 'job'; id: string; version: number }
  | { type: 'jobs' | 'machines' | 'house' | 'devices' }
  | { type: 'machine' | 'lesson'; id: string }
  | { type: 'summary'; id: string; summary: Summary };

/** A copy of the data file beside it. */
export interface Backup {
  name: string;
  bytes: number;
  at: string;
}
/** The copies, the newest first; `failed` says why the last could not be made. */
export interface BackupsView {
  folder: string;
  backups: readonly Backup[];
  failed: string | null;
}
