import type { House, JobBody, JobEvent, MachineBody, Snag } from '@pondu/core';

export interface StoredMachine {
  id: string;
  version: number;
  updatedAt: string;
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
}
export interface StoredHouse {
  house: House;
  version: number;
}
