import { formatQuantity, INSTRUMENTS, type Tracer } from '@pondu/core';
import type { House, JobEvent } from '@pondu/core/schema';
import { saidIn } from '@pondu/core/vocabulary';

/** What no spreadsheet takes for a formula, though it begins with a sign. */
const PLAIN_NUMBER = /^[+-]?\d+(\.\d+)?(e[+-]?\d+)?$/i;

/** RFC 4180; a cell that a spreadsheet would run as a formula is disarmed. */
const cell = (value: string): string => {
  const safe = /^[=+\-@\t\r]/.test(value) && !PLAIN_NUMBER.test(value) ? `'${value}` : value;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
};

const HEADER = [
  'at',
  'check',
  'label',
  'value',
  'shown',
  'typed',
  'instrument',
  'warmth',
  'fault_present',
  'supersedes',
  'note',
];

/** Readings of a job, one a row. `value` is SI, OL, or a word; what is shown goes by the shop's units and words. */
export function readingsCsv(tracer: Tracer, { units, vocabulary }: House, events: readonly JobEvent[]): string {
  tracer.weigher.learnAll(events);
  const rows = events.flatMap((e) => {
    if (e.type !== 'reading') return [];
    const { reading: r } = e;
    const check = tracer.weigher.check(r.checkId);
    const dimension = check && INSTRUMENTS[check.instrument].dimension;
    const value = r.value.kind === 'number' ? String(r.value.value) : r.value.kind === 'open' ? 'OL' : r.value.word;
    const shown =
      r.value.kind === 'number' && dimension
        ? formatQuantity(r.value.value, dimension, { habits: units })
        : saidIn(value, vocabulary);
    return [
      [
        r.at,
        r.checkId,
        check ? saidIn(check.label, vocabulary) : '',
        value,
        shown,
        r.typed,
        check?.instrument ?? '',
        r.warmth,
        r.faultPresent,
        r.supersedes ?? '',
        r.note,
      ],
    ];
  });
  return [HEADER, ...rows].map((row) => row.map(cell).join(',')).join('\r\n') + '\r\n';
}
