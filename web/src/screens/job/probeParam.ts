import { freeProbeId, type FreeProbe, type JobEvent } from '@pondu/core';
import { freeProbeSchema } from '@pondu/core/schema';

/** Where the leads are, as it stands in the address of the page; nothing where that cannot be read. */
export function probeIn(params: URLSearchParams): FreeProbe | undefined {
  const text = params.get('probe');
  if (text === null) return undefined;
  try {
    return freeProbeSchema.safeParse(JSON.parse(text)).data;
  } catch {
    return undefined;
  }
}

/** The probe behind a check that the machine does not list: the one in the address, or that of an earlier reading. */
export function probeOf(
  checkId: string | undefined,
  params: URLSearchParams,
  events: readonly JobEvent[],
): FreeProbe | undefined {
  const picked = probeIn(params);
  if (picked && freeProbeId(picked) === checkId) return picked;
  for (const e of events)
    if (e.type === 'reading' && e.reading.checkId === checkId && e.reading.probe) return e.reading.probe;
  return undefined;
}
