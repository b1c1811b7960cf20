import { logistic } from '../../../random/lcg.ts';
import { CRANKING, CRANKING_CLOSED, KEY_OFF } from '../../../machine/state.ts';
import { block, looking, type CheckMaker } from '../../../machine/check.ts';
import type { Scene } from '../../../machine/scene.ts';
import { CRANK_PARTS } from '../parts/index.ts';
import { CRANK_WORDS, type CrankWord } from '../../../machine/observed.ts';
import { engagement } from '../cranking.ts';
import { ENGINE, SOLENOID } from '../ids.ts';
import { CAUTIONS, marine, start, told, keptFromFiring } from './start.ts';
import { interlockName } from '../interlockName.ts';

/** What a person at the cord, kick or handle feels, for what a starter would do. */
const BY_HAND: Partial<Record<CrankWord, string>> = {
  'turns well': 'turns well',
  'turns slowly': 'turns slowly',
  'clicks once': 'cannot be pulled through',
  'spins free': 'spins free',
  nothing: 'nothing to pull with',
};

/** Pulled through by hand, and felt. */
const pulledThrough: CheckMaker = (machine) => [
  {
    ...start(machine),
    id: 'crank-listen',
    station: 'hand-start',
    label: 'Pull it through: what it does',
    set: `Out of gear, ${keptFromFiring(machine)}.`,
    touch: 'Pull the starter handle slowly, then once fast. Stand clear of belts and fan.',
    watch:
      'It turns over as usual; it is hard to pull; it will not go round; the pull comes free; nothing catches at all.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const words = scene.see('cranking', CRANKING);
        return Object.fromEntries(Object.entries(BY_HAND).map(([word, felt]) => [felt, words[word as CrankWord]]));
      },
    },
    words: Object.values(BY_HAND),
    needs: [ENGINE],
    minutes: 0.5,
    cautions: [...CAUTIONS, ...marine(machine)],
  },
];

/** Key to start, and listen. */
const keyToStart: CheckMaker = (machine) => [
  {
    ...start(machine),
    id: 'crank-listen',
    station: 'starter',
    label: 'Key to start: what it does',
    touch: 'Nothing: stand clear of belts and fan.',
    watch: 'One click, many, nothing at all, a whirr without the engine, teeth, slow or as it should.',
    instrument: 'eyes',
    probe: { kind: 'look', sees: (scene) => ({ ...scene.see('cranking', CRANKING) }) },
    words: CRANK_WORDS,
    needs: [ENGINE],
    minutes: 0.5,
    cautions: [...CAUTIONS, ...marine(machine)],
  },
];
export const listenCranking: CheckMaker = (machine) =>
  machine.partById.has('hand-start') ? pulledThrough(machine) : keyToStart(machine);

/** The four pictures of the headlamps. */
export const lampsCranking: CheckMaker = (machine) => [
  {
    ...start(machine),
    id: 'crank-lamps',
    station: 'battery',
    label: 'Headlamps while it is at start',
    set: 'Headlamps on. Key to start for three seconds, out of gear.',
    touch: 'Nothing: watch the lamps.',
    watch: 'Bright and stay so: nothing draws. Dim: it draws. Out: the battery, a clamp or an engine that is held.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const { home, pull, held } = engagement(scene, CRANKING_CLOSED);
        const at = pull >= 1 && held >= 0.9 ? home : scene.solve(CRANKING_CLOSED);
        const left = Math.abs(at.volts('main') - at.volts(block(machine))) / machine.fit.volts;
        const before = scene.solve(KEY_OFF);
        const stood = Math.abs(before.volts('main') - before.volts(block(machine))) / machine.fit.volts;
        const out = logistic((0.5 - left) / 0.04);
        const off = logistic((0.75 - stood) / 0.03);
        const bright = (1 - out) * logistic((left - 0.92) / 0.012);
        return {
          'stay bright': (1 - off) * bright,
          'go dim': (1 - off) * (1 - out - bright),
          'go out': (1 - off) * out,
          'never bright': off,
        };
      },
    },
    words: ['stay bright', 'go dim', 'go out', 'never bright'],
    needs: [SOLENOID],
    minutes: 0.7,
  },
];

/** What it does with something sound in a part's place. */
const withSound = (part: string) => (scene: Scene) => ({
  ...scene.see('cranking', { ...CRANKING, clipped: [part] }),
});

/** A good battery put across its own, and a jumper over each interlock. */
export const putAcross: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const locks = machine.parts.filter((p) => p.kind === CRANK_PARTS.startInterlock);
  return [
    looking(
      {
        ...start(machine),
        id: 'crank-boost',
        does: ['works at the battery', 'charges'],
        station: 'battery',
        label: 'A good battery put across: what it does',
        touch:
          'Its live post to the live clamp, then its earth to bare metal on the engine, away from the battery. Key to start.',
        watch: 'It turns well now: the battery or its charge. The same as before: clamps, cables, starter, engine.',
        words: CRANK_WORDS,
        needs: [SOLENOID, 'battery'],
        minutes: 4,
      },
      withSound('battery'),
    ),
    ...locks.map((lock) =>
      looking(
        {
          ...start(machine),
          id: `crank-${lock.id}-bridged`,
          does: ['feeds past the switches'],
          station: lock.station,
          label: `Key to start, ${interlockName(lock.label)} bridged: what it does`,
          touch: 'A fused jumper over its two terminals, taken off again at once. Key to start.',
          watch: 'It turns now: that switch, or how it is set. It goes back as it was before anybody drives.',
          words: CRANK_WORDS,
          needs: [SOLENOID, lock.id],
          minutes: 2,
        },
        withSound(lock.id),
      ),
    ),
  ];
};

/** The small terminal fed past the whole start circuit. */
export const jumpSolenoid: CheckMaker = (machine) =>
  told(machine)
    ? [
        {
          ...start(machine),
          id: 'crank-jump',
          does: ['feeds past the switches'],
          station: 'start-switch',
          label: 'Small terminal fed from the battery',
          set: `Out of gear, brake on, ${keptFromFiring(machine)}, nobody near belts, drive or propeller.`,
          touch: 'A fused lead from the live clamp to the small terminal, for two seconds.',
          watch: 'It turns now: the start circuit. It does the same as before: solenoid, starter, thick path, engine.',
          instrument: 'eyes',
          probe: {
            kind: 'look',
            sees: (scene) => ({ ...scene.see('cranking', { ...CRANKING, clipped: ['start-jump'] }) }),
          },
          state: { ...CRANKING },
          words: CRANK_WORDS,
          needs: [SOLENOID],
          minutes: 1.5,
          cautions: ['jumping the starter', ...CAUTIONS, ...marine(machine)],
        },
      ]
    : [];
