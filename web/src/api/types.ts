export type {
  Change,
  Device,
  Door,
  JobRow,
  JournalEntry,
  MachineRow,
  Page,
  StoredHouse,
  StoredJob,
  StoredMachine,
  Summary,
} from '@pondu/core';
