import { describe, expect, it } from 'vitest';
import { KINDS } from './kinds.ts';
import { house, machine } from './machines.ts';
import { follow } from '../practice/follow.ts';
import { HiddenMachine } from '../practice/hiddenMachine.ts';
import { seededRandom } from '../random/lcg.ts';
import { likelyComplaint } from '../tracing/likelyComplaint.ts';
import type { ModelFault } from '../tracing/model.ts';
import { Tracer } from '../tracing/trace.ts';

/** Machines of one fault are tried in this order until one fails plainly enough to be brought in. */
const SEEDS = [7, 19, 31, 43, 67];
const STORIES = 3;

/** One traced job in short: what was complained of, what was read in which order, what was named and how surely. */
function story(tracer: Tracer, fault: ModelFault) {
  const complaint = likelyComplaint(tracer, [fault]);
  const hidden = SEEDS.map((seed) => new HiddenMachine(tracer.model, [fault], seededRandom(seed))).find(
    (h) => h.brings(complaint) > 0.2,
  );
  if (!hidden) return undefined;
  const { named, share, events } = follow(tracer, complaint, hidden, { most: 40 });
  const read = events.flatMap((e) => {
    if (e.type !== 'reading') return [];
    const { value, checkId } = e.reading;
    const shown = value.kind === 'number' ? value.value.toPrecision(4) : value.kind === 'word' ? value.word : 'OL';
    return [`${checkId}: ${shown}`];
  });
  return { fault: fault.id, complaint: complaint.symptom, read, named, share: share.toFixed(3) };
}

/** What must not change while the middle is rebuilt; where it does, `vitest -u` writes it anew and the change is read. */
describe.each(Object.entries(KINDS))('%s', (name, fit) => {
  it('is traced as it was', async () => {
    const tracer = new Tracer(machine(fit), house);
    const { faults } = tracer.model;
    const stories: object[] = [];
    for (let k = 0; stories.length < STORIES && k < faults.length; k++) {
      // Spread over the trail: every so many faults, then those between.
      const step = Math.ceil(faults.length / STORIES);
      const told = story(tracer, faults[((k % STORIES) * step + Math.floor(k / STORIES)) % faults.length]!);
      if (told) stories.push(told);
    }
    await expect(`${JSON.stringify(stories, null, 1)}\n`).toMatchFileSnapshot(
      `./golden/${name.replaceAll(/[^a-z0-9]+/gi, '-')}.json`,
    );
  });
});
