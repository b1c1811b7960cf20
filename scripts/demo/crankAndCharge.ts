/** Machines whose starter and charging are told, and their jobs. */
import { machineBodySchema } from '@pondu/core/schema';
import { complaint, job, snag, Story, write } from './story.ts';

// The quay digger: a diesel whose intake heater hangs on the starter's own feed.
const digger = machineBodySchema.parse({
  name: 'Quay digger',
  kind: 'tractor',
  maker: 'Skerrow Works',
  year: '1978',
  worth: 4800,
  notes: 'Diesel. The heater’s relay is behind the left panel.',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 3,
    compressionRatio: 17,
    litres: 2.4,
    trails: [{ trail: 'crank', kind: 'glow', options: { interlocks: ['Clutch switch'], heat: 'intake heater' } }],
  },
});
{
  const c = complaint(
    'crank-grinds',
    'constant',
    'Grinds its teeth on a cold morning; with the heater button left alone it starts.',
    'the first frost',
    'new battery',
  );
  const story = new Story('digger-1', digger, c, ['shared-feed.corroded'], 31, '2026-11-24T07:40:00Z');
  story.read('crank-listen');
  story.read('crank-lamps');
  write('digger', 'quay-digger', digger, [
    job('digger-1', c, 'trace', '2026-11-24T07:30:00Z', story, {
      snags: [snag('digger-1-s1', 'Guard of the fan belt is missing', 'danger', '2026-11-24T07:45:00Z')],
    }),
  ]);
}

// The hill quad: a neutral switch, and three coils under its flywheel.
const quad = machineBodySchema.parse({
  name: 'Hill quad',
  kind: 'ATV',
  maker: 'Harrowby',
  year: '2004',
  worth: 1500,
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 1,
    compressionRatio: 8.8,
    litres: 0.4,
    trails: [
      {
        trail: 'spark',
        kind: 'battery-discharge',
        options: { fused: true, added: [{ what: 'interlock', label: 'Neutral switch' }] },
      },
      { trail: 'crank', kind: 'relay', options: { interlocks: ['Neutral', 'Brake lever'] } },
      { trail: 'charge', kind: 'stator-three', options: { control: 'shunt', loads: [{ label: 'Headlamp', watts: 55 }] } },
    ],
  },
});
{
  const c = complaint('no-charge', 'constant', 'Needs the charger every second day.', 'three weeks', 'flywheel off');
  const story = new Story('quad-1', quad, c, ['charger.earthed'], 22, '2026-11-21T13:10:00Z');
  story.follow();

  // Its own regulator is no longer made: what went in last autumn stands in the book with its circuit.
  const boils = complaint('overcharge', 'constant', 'The battery spits over the frame.', 'a week', '');
  const autumn = new Story('quad-0', quad, boils, ['charge-regulator.high'], 21, '2025-10-04T09:00:00Z');
  autumn.follow();
  autumn.fix('charge-regulator.replace', 'adapted', 'shunt unit of a road motorcycle', {
    source: 'the breaker’s on the mainland',
    wiring: 'Yellow legs of the stator to its three yellows in any order; red over a fuse beside the battery; its black and its case to bare frame.',
    way: 'three-shunt',
  });
  autumn.prove();
  const closed = job('quad-0', boils, 'closed', '2025-10-04T08:50:00Z', autumn, { closedAt: autumn.at() });
  write('quad', 'hill-quad', quad, [closed, job('quad-1', c, 'repair', '2026-11-21T13:00:00Z', story, { waitsFor: 'part' })]);
}

// The green roadster: points gone, a sealed block under the old cap, an alternator in place of its generator.
const roadster = machineBodySchema.parse({
  name: 'Green roadster',
  kind: 'car',
  maker: 'Fenholm',
  year: '1962',
  worth: 9000,
  firingOrder: '1-3-4-2',
  notes: 'Converted by an earlier owner; the points are in the glove box.',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    compressionRatio: 8.3,
    trails: [
      {
        trail: 'spark',
        kind: 'conversion',
        options: { ballast: 'external', fused: true, trigger: 'hall', added: [{ what: 'alarm', label: 'Alarm box' }] },
      },
      { trail: 'crank', kind: 'relay', options: {} },
      {
        trail: 'charge',
        kind: 'alternator',
        options: {
          tells: 'lamp',
          loads: [
            { label: 'Headlamps', watts: 120 },
            { label: 'Fan', watts: 60 },
          ],
        },
      },
    ],
  },
});
{
  const c = complaint('lamp-wrong', 'constant', 'Red lamp never comes on. Battery goes down.', 'a month', 'new lamp');
  const story = new Story('roadster-1', roadster, c, ['charge-lamp.swapped'], 27, '2026-11-19T15:10:00Z');
  const named = story.follow();
  story.fix(named, 'replaced', 'a bulb with a filament, 2.2 W');
  const slow = complaint('no-fire', 'constant', 'Will not start after the ferry.', 'today', '');
  const crossing = new Story('roadster-2', roadster, slow, ['strap.corroded'], 33, '2026-11-25T08:10:00Z');
  crossing.read('look-clamps');
  write('roadster', 'green-roadster', roadster, [
    job('roadster-1', c, 'prove', '2026-11-19T15:00:00Z', story),
    job('roadster-2', { ...slow, also: 'crank-slow' }, 'trace', '2026-11-25T08:00:00Z', crossing),
  ]);
}

// The ferry agent's hatchback: a coil on each plug.
const hatchback = machineBodySchema.parse({
  name: 'Ferry agent’s hatchback',
  kind: 'car',
  maker: 'Quillmere',
  year: '2001',
  worth: 2400,
  firingOrder: '1-3-4-2',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    compressionRatio: 10,
    trails: [
      { trail: 'spark', kind: 'coil-on-plug', options: { fused: true } },
      { trail: 'crank', kind: 'relay', options: { interlocks: ['Clutch'] } },
      { trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [{ label: 'Lamps and fan', watts: 190 }] } },
    ],
  },
});
{
  const c = complaint('flat-overnight', 'constant', 'Flat every Monday, and soon after.', 'October', 'radio fitted');
  const story = new Story('hatchback-1', hatchback, c, ['standing.drain', 'battery.sulphated'], 57, '2026-11-20T16:10:00Z');
  story.read('battery-rest');
  story.read('charge-drain');
  story.fix('standing.find', 'adapted', 'radio’s memory wire moved to a switched feed');
  story.read('charge-takes');
  write('hatchback', 'agent-hatchback', hatchback, [
    job('hatchback-1', c, 'trace', '2026-11-20T16:00:00Z', story),
  ]);
}

// The ferry lorry: six volts and a generator with a box of vibrating contacts.
const lorry = machineBodySchema.parse({
  name: 'Ferry lorry',
  kind: 'car',
  maker: 'Ardvane',
  year: '1948',
  worth: 5200,
  firingOrder: '1-3-4-2',
  notes: 'Positive earth. Regulator box under the dash, right of the column.',
  fitOut: {
    volts: 6,
    earth: 'positive',
    cylinders: 4,
    compressionRatio: 6,
    litres: 1.7,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { fused: false } },
      { trail: 'crank', kind: 'direct', options: {} },
      { trail: 'charge', kind: 'generator', options: { field: 'A', tells: 'lamp', loads: [{ label: 'Lamps', watts: 60 }] } },
    ],
  },
});
{
  const c = complaint('overcharge', 'constant', 'Boils its battery; two headlamp bulbs in a week.', 'the summer', '');
  const story = new Story('lorry-1', lorry, c, ['charge-regulator.high'], 43, '2026-11-18T09:10:00Z');
  story.follow();
  write('lorry', 'ferry-lorry', lorry, [job('lorry-1', c, 'repair', '2026-11-18T09:00:00Z', story)]);
}
