export type {
  Change,
  Device,
  Door,
  JobRow,
  BackupsView,
  JournalEntry,
  MachineRow,
  Page,
  StoredHouse,
  StoredJob,
  StoredMachine,
  Summary,
} from '@pondu/core';
