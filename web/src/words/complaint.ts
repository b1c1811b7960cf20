import type { RecentWork, Complaint, Happening, JobBody, Stage } from '@pondu/core';

export const SYMPTOMS: readonly { value: Complaint['symptom']; label: string; help: string }[] = [
  { value: 'no-fire', label: 'Cranks, will not fire', help: 'The starter turns it, nothing else happens.' },
  { value: 'dies', label: 'Fires and dies', help: 'Runs for a while, then stops as if switched off.' },
  { value: 'misses', label: 'Misses', help: 'Runs, but not on every cylinder.' },
  { value: 'hard-start', label: 'Hard to start', help: 'Catches late or unwillingly.' },
  { value: 'crank-nothing', label: 'Key to start: nothing', help: 'Not even a click.' },
  { value: 'crank-click', label: 'Clicks once', help: 'One click, and it does not turn.' },
  { value: 'crank-chatter', label: 'Chatters', help: 'Click upon click.' },
  { value: 'crank-grinds', label: 'Grinds', help: 'Teeth are heard.' },
  { value: 'crank-slow', label: 'Turns slowly', help: 'It turns over, but slowly or heavily.' },
  { value: 'crank-free', label: 'Spins free', help: 'The starter whirrs, the engine stands.' },
  { value: 'crank-stays', label: 'Starter stays on', help: 'Key let go, and it goes on turning.' },
  { value: 'no-charge', label: 'Does not charge', help: 'The battery is not filled as it runs.' },
  { value: 'overcharge', label: 'Charges too much', help: 'The battery boils, lamps blow.' },
  { value: 'lamp-wrong', label: 'Charge lamp wrong', help: 'On when it should be out, or the other way.' },
  { value: 'floods', label: 'Floods', help: 'Smells of fuel, drips, smokes black.' },
  { value: 'stalls', label: 'Stalls after minutes', help: 'Goes again when it has stood.' },
  { value: 'no-pull', label: 'No pull', help: 'Idles, and has no strength on the hill.' },
  { value: 'no-idle', label: 'Will not idle', help: 'Runs with the throttle open, stops when it is shut.' },
  { value: 'idle-wrong', label: 'Idles wrong', help: 'Too fast, too slowly, or it hunts.' },
  { value: 'cold-runs', label: 'Bad until it is warm', help: 'Stumbles or spits back cold, well after minutes.' },
  { value: 'kicks-back', label: 'Kicks back', help: 'Thrown back as the starter turns it.' },
  { value: 'knocks', label: 'Knocks', help: 'Pings or knocks as it pulls.' },
  { value: 'will-not-stop', label: 'Will not stop', help: 'Key off or stop pulled, and it keeps running.' },
  { value: 'flat-overnight', label: 'Flat overnight', help: 'The battery is flat after standing.' },
];
/** By what the engine does; complete by type. */
type Group = 'turn' | 'fire' | 'run' | 'charge' | 'stop';
const GROUP_OF: Readonly<Record<Complaint['symptom'], Group>> = {
  'no-fire': 'fire',
  'hard-start': 'fire',
  floods: 'fire',
  dies: 'run',
  stalls: 'run',
  misses: 'run',
  'no-pull': 'run',
  'no-idle': 'run',
  'idle-wrong': 'run',
  'cold-runs': 'run',
  knocks: 'run',
  'crank-nothing': 'turn',
  'crank-click': 'turn',
  'crank-chatter': 'turn',
  'crank-grinds': 'turn',
  'crank-slow': 'turn',
  'crank-free': 'turn',
  'crank-stays': 'turn',
  'kicks-back': 'turn',
  'no-charge': 'charge',
  overcharge: 'charge',
  'lamp-wrong': 'charge',
  'flat-overnight': 'charge',
  'will-not-stop': 'stop',
};
const GROUP_LABELS: Readonly<Record<Group, string>> = {
  fire: 'It turns, and will not fire',
  turn: 'It does not turn as it should',
  run: 'It runs badly',
  charge: 'Battery and charging',
  stop: 'It will not stop',
};
/** Symptoms in the order in which one would look for them. */
export const SYMPTOM_GROUPS = (Object.keys(GROUP_LABELS) as Group[]).map((group) => ({
  label: GROUP_LABELS[group],
  options: SYMPTOMS.filter((s) => GROUP_OF[s.value] === group),
}));

export const PATTERNS: readonly { value: Complaint['pattern']; label: string; help: string }[] = [
  { value: 'constant', label: 'All the time', help: 'It does it now.' },
  { value: 'hot', label: 'When hot', help: 'Cold it is well.' },
  { value: 'cold', label: 'Only cold', help: 'Warm it is well.' },
  { value: 'damp', label: 'When wet', help: 'Rain, fog, a wash.' },
  { value: 'now-and-then', label: 'Now and then', help: 'Nobody knows when.' },
];
const labelOf = <V extends string>(list: readonly { value: V; label: string }[], value: V) =>
  list.find((x) => x.value === value)?.label ?? value;

/** "Cranks, will not fire, when hot". */
export const complaintWords = (c: Complaint): string =>
  [
    labelOf(SYMPTOMS, c.symptom),
    ...(c.also ? [labelOf(SYMPTOMS, c.also).toLowerCase()] : []),
    ...(c.pattern === 'constant' ? [] : [labelOf(PATTERNS, c.pattern).toLowerCase()]),
  ].join(', ');

export const STAGE_LABELS: Readonly<Record<Stage, string>> = {
  complaint: 'Complaint',
  look: 'Look',
  trace: 'Trace',
  repair: 'Repair',
  'set up': 'Set up',
  prove: 'Prove',
  closed: 'Closed',
};
export const WAITS: readonly { value: JobBody['waitsFor']; label: string }[] = [
  { value: '', label: 'Waits for nothing' },
  { value: 'part', label: 'Waits for a part' },
  { value: 'hot soak', label: 'Waits for a hot soak' },
  { value: 'cold start', label: 'Waits for a cold start' },
  { value: 'helper', label: 'Waits for a helper' },
  { value: 'dry day', label: 'Waits for a dry day' },
  { value: 'owner', label: 'Waits for the owner' },
];

/** What befell the machine before it began. */
export const HAPPENED: readonly { value: Happening; label: string }[] = [
  { value: 'under water', label: 'It was under water' },
  { value: 'stood in the wet', label: 'It stood in the wet' },
  { value: 'jump leads reversed', label: 'Jump leads the wrong way round' },
  { value: 'overheated', label: 'It was overheated' },
];

/** What was done to a part before it began, and when. */
export const WORK: Readonly<Record<RecentWork['what'], string>> = {
  new: 'new part',
  disturbed: 'off, moved or set',
  wired: 'something wired in',
};
export const AGO: Readonly<Record<RecentWork['ago'], string>> = {
  'just before': 'just before it began',
  days: 'days before',
  weeks: 'weeks before',
};
