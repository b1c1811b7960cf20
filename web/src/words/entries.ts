import type { Complaint } from '@pondu/core';
import type { Entry } from '../offline/entry.ts';
import { complaintWords } from './complaint.ts';

const text = (value: unknown): string => (typeof value === 'string' ? value : JSON.stringify(value ?? ''));

/** What was entered, in one line. */
export function entryWords({ path, method, body, blob }: Entry): string {
  if (blob) return `Picture, ${Math.ceil(blob.size / 1024)} kB`;
  if (method === 'PATCH') return `Change of the job: ${fieldWords(body)}`;
  switch (path) {
    case '/jobs':
      return `New job: ${complaintWords(body['complaint'] as Complaint)}`;
    case '/readings':
      return `Reading, ${text(body['checkId'])}: ${text(body['typed'])}`;
    case '/fixes':
      return `Repair: ${text(body['what'])}`;
    case '/causes':
      return `Cause ${text(body['found'])}: ${text(body['cause'])}`;
    case '/settings':
      return `Setting of ${text(body['figure'])}`;
    case '/sheets':
      return `Bench: ${text((body['body'] as { kind?: unknown } | undefined)?.kind)}`;
    case '/asides':
      return `Could not tell: ${text(body['checkId'])}`;
    case '/cares':
      return `Understood: ${text((body['cautions'] as string[] | undefined)?.join(', '))}`;
    case '/photos':
      return `Photo: ${text(body['words']) || 'no words'}`;
    case '/snags':
      return `Snag: ${text(body['what'])}`;
    case '/close':
      return 'Closing of the job';
    default:
      return path;
  }
}

const NAMES: Readonly<Record<string, string>> = {
  waitsFor: 'waits for',
  words: 'in the owner’s words',
  before: 'done just before',
};

/** Fields of a job with what they say, nested ones as well. */
export function fieldWords(fields: object): string {
  return Object.entries(fields)
    .filter(([, value]) => value !== undefined)
    .map(([key, value]) =>
      value !== null && typeof value === 'object'
        ? fieldWords(value as object)
        : `${NAMES[key] ?? key}: ${text(value) || 'nothing'}`,
    )
    .join('; ');
}
