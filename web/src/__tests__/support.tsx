import type { House, MachineBody, TraceView } from '@pondu/core';
import { traceView, Tracer, type Complaint, type Conditions, type JobEvent } from '@pondu/core';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import type { ReactElement } from 'react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { SWRConfig } from 'swr';
import type { StoredJob } from '../api/types.ts';

/** A machine, a job and the real core's view of it, for tests of screens. */
export const machine: MachineBody = storedMachineSchema.parse({
  name: 'Test car',
  kind: 'car',
  fitOut: {
    layout: 'battery-points',
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    ballast: 'external',
    fused: true,
    compressionRatio: 8,
  },
});
export const house: House = houseSchema.parse({});
export const complaint: Complaint = { symptom: 'no-fire', pattern: 'constant', words: '', since: '', before: '' };
export const tracer = new Tracer(machine, house);
export const failing: Conditions = { warmth: 'unknown', faultPresent: 'yes' };

export const reading = (checkId: string, value: number | string, id = checkId): JobEvent => ({
  type: 'reading',
  reading: {
    id,
    checkId,
    value:
      value === 'OL'
        ? { kind: 'open' }
        : typeof value === 'number'
          ? { kind: 'number', value }
          : { kind: 'word', word: value },
    typed: String(value),
    note: '',
    at: '2026-01-01T10:00:00Z',
    ...failing,
  },
});
export const view = (events: JobEvent[], now = failing): TraceView => traceView(tracer, complaint, events, now);
export const stored = (events: JobEvent[] = []): StoredJob => ({
  id: 'job-1',
  machineId: 'machine-1',
  version: 3,
  updatedAt: '2026-01-01T10:00:00Z',
  job: {
    title: '',
    complaint,
    stage: 'trace',
    waitsFor: '',
    openedAt: '2026-01-01T09:00:00Z',
    closedAt: null,
    closedBecause: '',
  },
  events,
  snags: [],
  unreadable: 0,
});

/** Inside a router and with a cache of its own. */
export function Around({ children }: { children: ReactElement }) {
  const router = createMemoryRouter([{ path: '*', element: children }]);
  return (
    <SWRConfig value={{ provider: () => new Map(), dedupingInterval: 0 }}>
      <RouterProvider router={router} />
    </SWRConfig>
  );
}
