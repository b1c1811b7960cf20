import type { Random } from '../random/lcg.ts';
import type { Complaint } from '../schema/job.ts';
import type { SymptomId } from '../schema/symptoms.ts';

/** How owners say what their machine does; what is said of when it does so comes after it. */
const SAID: Readonly<Record<SymptomId, readonly string[]>> = {
  'no-fire': ['It turns over as it always did, but it will not start.', 'Cranks and cranks, and never fires.'],
  dies: ['It starts and dies again, as if somebody had switched it off.', 'It fires and stops, every time.'],
  misses: ['It misses. You can hear it at the exhaust.', 'It runs rough, as if on one cylinder too few.'],
  'hard-start': ['It is hard to start; it takes ages before it catches.', 'It eventually starts, after many tries.'],
  'crank-nothing': ['Key round, and nothing happens. Not even a click.', 'I press the starter and it is dead.'],
  'crank-click': ['It only clicks once and does not turn.', 'One click, and that is all.'],
  'crank-chatter': ['It chatters when I turn the key.', 'It rattles like a machine gun and does not turn.'],
  'crank-grinds': ['It grinds when I start it, you can hear the teeth.', 'There is an ugly grinding from the starter.'],
  'crank-slow': ['It turns over slowly, as if it were tired.', 'It cranks slowly and gives up.'],
  'crank-free': ['The starter spins and the engine stands still.', 'It whirrs, but the engine does not turn.'],
  'crank-stays': ['The starter stays on when I let the key go.', 'It keeps cranking after it has started.'],
  'no-charge': ['It does not charge; the battery runs down as I drive.', 'The battery is not charging any more.'],
  overcharge: ['It boils its battery, and bulbs blow one after the other.', 'It charges too much.'],
  'lamp-wrong': ['The charge lamp does what it should not.', 'The red lamp is wrong.'],
  'flat-overnight': ['The battery is flat in the morning.', 'It stands overnight and the battery is flat.'],
  floods: ['It floods. It smells of petrol all over.', 'It drips petrol and smokes black.'],
  stalls: ['It stalls after a few minutes and goes again when it has stood.', 'After some minutes it stops.'],
  'no-pull': ['It has no power; up the hill it will not pull.', 'It idles well, but it has no pull.'],
  'no-idle': ['It will not idle; it stops at the lights.', 'Off the throttle it dies: it does not idle.'],
  'idle-wrong': ['It idles wrong, and I have turned the screw already.', 'Its idle hunts and is never right.'],
  'kicks-back': ['It kicks back when I crank it.', 'It kicked back and hurt my hand.'],
  knocks: ['It knocks when I pull away.', 'It pings up the hill.'],
  'will-not-stop': ['I switch it off and it keeps running.', 'It will not stop.'],
  'cold-runs': ['When cold it stumbles and spits; warm it is fine.', 'Until it is warm it runs rough and hesitates.'],
};
const WHEN: Readonly<Record<Complaint['pattern'], string>> = {
  constant: '',
  hot: ' Only once it is hot; cold it is well.',
  cold: ' Only while it is cold.',
  damp: ' When it is wet outside, mostly.',
  'now-and-then': ' Now and then, I cannot say when.',
};
const SINCE = ['Since last week.', 'Since yesterday.', 'It crept in over the summer.', 'Since it was laid up.'];

const pick = <T>(of: readonly T[], random: Random): T => of[Math.floor(random() * of.length)]!;

/** What an owner says of it as he brings it in. */
export const saidOf = ({ symptom, pattern }: Pick<Complaint, 'symptom' | 'pattern'>, random: Random): string =>
  `${pick(SAID[symptom], random)}${WHEN[pattern]}`;
export const sinceWhen = (random: Random): string => pick(SINCE, random);
