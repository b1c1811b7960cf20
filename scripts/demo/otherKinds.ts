/** One machine of each other kind of spark trail. */
import { storedMachineSchema } from '@pondu/core/schema';
import { complaint, job, Story, write } from './story.ts';
import { air, charge, compression, crank, fuel, told } from './told.ts';

/** What kinds without a battery still carry in their fit-out, unsaid. */
const NO_BATTERY = { volts: 12, earth: 'negative', ballast: 'none', fused: false } as const;
const BATTERY = { volts: 12, earth: 'negative', ballast: 'none', fused: true } as const;

// The dory's outboard: two cylinders, a flywheel magneto with points.
const dory = storedMachineSchema.parse({
  name: 'Dory’s outboard, two cylinders',
  kind: 'boat',
  maker: 'Gannet Motors',
  year: '1964',
  worth: 700,
  firingOrder: '1-2',
  notes: 'Hangs on the stand by the slip. Flywheel puller is on its own nail.',
  fitOut: told({ layout: 'flywheel-magneto', ...NO_BATTERY, cylinders: 2, marine: true, compressionRatio: 6.5 }, crank('pull'), charge('lighting-coil')),
  plates: { 'points-1.gapMetres': { low: 0.48e-3, high: 0.53e-3, source: 'manual' } },
});
{
  const c = complaint(
    'misses',
    'constant',
    'Runs on one. Changing plugs did not help.',
    'since the spring',
    'new plugs',
  );
  const story = new Story('dory-1', dory, c, ['points-2.burnt'], 41, '2026-11-22T09:10:00Z');
  story.follow({}, 3);
  write('dory', 'dory-outboard', dory, [job('dory-1', c, 'trace', '2026-11-22T09:00:00Z', story)]);
}

// The pilot boat's outboard: three cylinders, capacitor discharge.
const pilot = storedMachineSchema.parse({
  name: 'Pilot boat’s outboard, three cylinders',
  kind: 'boat',
  maker: 'Gannet Motors',
  year: '1988',
  worth: 2200,
  firingOrder: '1-2-3',
  notes: 'Stop tether on the left of the console.',
  fitOut: { layout: 'capacitor-discharge', ...NO_BATTERY, cylinders: 3, marine: true, compressionRatio: 6.8 },
});
{
  const c = complaint('no-fire', 'constant', 'Cranks and cranks. Fuel is fresh.', 'yesterday', 'console rewired');
  const story = new Story('pilot-1', pilot, c, ['stop-wire-1.chafed'], 53, '2026-11-23T10:10:00Z');
  story.read('spark-every');
  write('pilot', 'pilot-outboard', pilot, [job('pilot-1', c, 'trace', '2026-11-23T10:00:00Z', story)]);
}

// The fire pump: a high-tension magneto with impulse coupling.
const pump = storedMachineSchema.parse({
  name: 'Fire pump',
  kind: 'engine on a stand',
  maker: 'Skerrow Works',
  year: '1943',
  worth: 2500,
  firingOrder: '1-3-4-2',
  notes: 'Must start at the third pull: the station relies on it.',
  fitOut: told({ layout: 'rotating-magneto', ...NO_BATTERY, cylinders: 4, compressionRatio: 5 }, crank('pull')),
});
write('pump', 'fire-pump', pump, []);

// The estate: a magnetic pick-up, its module on a heat sink. It dies hot.
const estate = storedMachineSchema.parse({
  name: 'Blue estate',
  kind: 'car',
  maker: 'Quillmere',
  year: '1984',
  worth: 3200,
  firingOrder: '1-3-4-2',
  notes: 'Module sits on the inner wing, left.',
  fitOut: {
    layout: 'electronic',
    ...BATTERY,
    cylinders: 4,
    trigger: 'magnetic',
    module: 'on a heat sink',
    suppressor: true,
    compressionRatio: 9,
  },
});
{
  const c = complaint(
    'dies',
    'hot',
    'Goes well for a quarter of an hour, then stops as if switched off. After half an hour it goes again.',
    'a month',
    'nothing',
  );
  const story = new Story('estate-1', estate, c, ['module.dead'], 61, '2026-11-24T13:10:00Z');
  story.read('spark-coil-lead', { warmth: 'cold', faultPresent: 'no' }, 'cold, running well');
  write('estate', 'blue-estate', estate, [
    job('estate-1', c, 'trace', '2026-11-24T13:00:00Z', story, { waitsFor: 'hot soak' }),
  ]);
}

// The twin: six volts, one coil with two leads.
const twin = storedMachineSchema.parse({
  name: 'Post twin',
  kind: 'motorcycle',
  maker: 'Harrowby',
  year: '1958',
  worth: 4100,
  notes: 'The post round’s spare.',
  fitOut: told({
    layout: 'points-coils',
    ...BATTERY,
    volts: 6,
    cylinders: 2,
    coils: 'double-ended',
    compressionRatio: 7,
  }, crank('pull'), charge('generator', { field: 'A', tells: 'lamp', loads: [{ label: 'Headlamp', watts: 30 }] }),
    fuel('gravity', { carburettors: 2, sealed: true }), air(), compression('four-stroke', { cooling: 'air' })),
});
{
  const c = complaint('idle-wrong', 'constant', 'Shakes at the letter boxes, and the idle wanders.', 'since the cables were new', 'throttle cables renewed');
  const story = new Story('twin-1', twin, c, ['air-balance.out'], 51, '2026-11-26T09:40:00Z');
  story.read('spark-every');
  story.read('air-vacuum-needle');
  write('twin', 'post-twin', twin, [job('twin-1', c, 'trace', '2026-11-26T09:30:00Z', story)]);
}
