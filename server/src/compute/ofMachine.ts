import type { House, MachineBody } from '@pondu/core';

/** What every task is asked of: the thread that knows the machine does it. */
export interface OfMachine {
  machine: MachineBody;
  house: House;
}
