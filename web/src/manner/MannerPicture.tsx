import type { Manner } from '@pondu/core';
import type { ReactNode } from 'react';
import { GAUGES } from './gauges.tsx';
import { LEADS } from './leads.tsx';
import { SENSES } from './senses.tsx';

const PICTURES: Readonly<Record<Manner, ReactNode>> = { ...LEADS, ...GAUGES, ...SENSES };

const WORDS: Readonly<Record<Manner, string>> = {
  'volts to earth': 'Voltmeter, one lead at the place, the other on bare metal',
  'volts along': 'Voltmeter, a lead at each end',
  'ohms on the bench': 'Ohmmeter on the part by itself',
  'ohms in place': 'Ohmmeter, nothing under current',
  lamp: 'Lamp, its probe at the place, its clip on bare metal',
  spark: 'Lead into the spark tester, its clip on bare metal',
  feeler: 'Feeler gauge in the gap',
  capacitance: 'Meter on the condenser, one lead on its wire, one on its case',
  peak: 'Peak adapter between meter and connector',
  clamp: 'Clamp around the one wire',
  'in series': 'Ammeter between post and clamp',
  'rev counter': 'Rev counter on the turning engine',
  pressure: 'Gauge on the line',
  can: 'Hose into a measuring can',
  compression: 'Compression gauge in the plug hole',
  'leak-down': 'Air through the tester into the plug hole',
  light: 'Timing light on the mark',
  dwell: 'Dwell meter on the points',
  'scan tool': 'Scan tool in its socket',
  'plugs laid out': 'Plugs side by side in their order',
  'watched cranking': 'Watched while it is cranked',
  'watched running': 'Heard and watched while it runs',
  'taken apart': 'Opened and looked at',
  'looked at': 'Looked at with a lamp',
};

/** A small line drawing of how a check is made. */
export const MannerPicture = ({ manner, className = '' }: { manner: Manner; className?: string }) => (
  <svg
    viewBox="0 0 120 84"
    role="img"
    aria-label={WORDS[manner]}
    className={className}
    fill="none"
    stroke="currentColor"
    strokeWidth={2.2}
    strokeLinecap="round"
    strokeLinejoin="round"
  >
    {PICTURES[manner]}
  </svg>
);
