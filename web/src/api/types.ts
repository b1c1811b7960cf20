import type { BaySummary, House, JobBody, JobEvent, MachineBody, Snag } from '@pondu/core';

export interface StoredMachine {
  id: string;
  version: number;
  updatedAt: string;
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

/** One page of a list. */
export interface Page<Row> {
  rows: Row[];
  next: string | null;
}
export type Summary = { ok: true; bay: BaySummary } | { ok: false; message: string };
export interface JobRow {
  id: string;
  machineId: string;
  machineName: string;
  version: number;
  updatedAt: string;
  awayAt: string | null;
  job: JobBody | null;
  unreadable: string | null;
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

export interface Device {
  id: string;
  name: string;
  initials: string;
  createdAt: string;
  seenAt: string;
}
export interface Door {
  me: Device | null;
  locked: boolean;
  secure: boolean;
  key: string | null;
  addresses: string[];
  devices: Device[];
}
export interface JournalEntry {
  seq: number;
  at: string;
  what: 'house' | 'machine';
  ref: string;
  name: string;
  fields: string[];
  device: string;
  initials: string;
  canPutBack: boolean;
}
