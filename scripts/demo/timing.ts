/** A machine whose timing is told, and its job. */
import { machineBodySchema } from '@pondu/core/schema';
import { complaint, job, picture, snag, Story, write } from './story.ts';
import { air, charge, compression, crank, fuel } from './told.ts';

// The doctor's coupé: every trail that Pondu knows is told of it.
const coupe = machineBodySchema.parse({
  name: 'Doctor’s coupé',
  kind: 'car',
  maker: 'Quillmere',
  year: '1969',
  worth: 5200,
  firingOrder: '1-3-4-2',
  notes: 'Pulley with a rubber ring. The pod’s hose runs behind the carburettor.',
  book: {
    meter: 'miles',
    read: [
      { at: '2024-05-11', value: 61_240 },
      { at: '2025-06-02', value: 64_110 },
      { at: '2026-11-24', value: 68_020 },
    ],
    services: [
      { id: 'coupe-oil', what: 'Engine oil and filter', everyMonths: 12, everyMeter: 3000, lastAt: '2025-06-02', lastMeter: 64_110 },
      { id: 'coupe-points', what: 'Points, plugs, timing', everyMonths: 24, everyMeter: 6000, lastAt: '2025-06-02', lastMeter: 64_110 },
      { id: 'coupe-belt', what: 'Fan belt', everyMonths: 48, lastAt: '2024-05-11' },
      { id: 'coupe-hoses', what: 'Fuel hoses', everyMonths: 60 },
    ],
    wires: [
      { id: 'coupe-w1', from: 'Coil −', to: 'Distributor', is: 'black', book: 'white and black' },
      { id: 'coupe-w2', from: 'Ignition switch', to: 'Coil +', is: 'white', book: 'white' },
      { id: 'coupe-w3', from: 'Alternator', to: 'Warning lamp', is: 'brown and yellow', book: 'brown and yellow' },
    ],
  },
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    compressionRatio: 8.8,
    litres: 1.6,
    trails: [
      { trail: 'spark', kind: 'battery-points', options: { ballast: 'none', fused: true } },
      crank('direct'),
      charge('alternator', { tells: 'lamp', loads: [{ label: 'Headlamps', watts: 110 }] }),
      fuel('mechanical', { carburettors: 2, accelerator: true }),
      { trail: 'timing', kind: 'weights-vacuum', options: {} },
      air({ servo: true, breather: true }),
      compression('four-stroke'),
    ],
  },
});
{
  const c = complaint(
    'no-pull',
    'constant',
    'Idles like a clock and crawls up the hill to the light.',
    'since it stood over the winter',
    'new plugs',
  );
  const story = new Story('coupe-1', coupe, c, ['timing-weights.seized'], 29, '2026-11-25T10:10:00Z');
  story.read('fuel-level');

  // Later the same week: a joint that draws air, and a clamp that was left loose.
  const second = complaint('idle-wrong', 'constant', 'Hunts at the lights, up and down.', 'since yesterday', 'weights freed');
  const hunts = new Story('coupe-2', coupe, second, ['air-gasket.leaks', 'timing-body.late'], 33, '2026-11-26T08:10:00Z');
  // And in the autumn before: one cylinder that ran through.
  const third = complaint('misses', 'constant', 'Runs on three, worse at the lights. Ran hot on the pass.', 'two days', 'new plugs');
  const lame = new Story('coupe-3', coupe, third, ['compression-exhaust-3.burnt'], 47, '2026-11-26T10:40:00Z');
  lame.read('spark-every');
  lame.read('cylinder-drop');
  lame.read('look-plugs');
  lame.read('compression-3');
  lame.read('compression-2');
  // Weights freed that same month, and the timing on the bench: before and after.
  const fourth = complaint('no-pull', 'constant', 'Dull on the hill again, and hot.', 'a week', '');
  const bench = new Story('coupe-4', coupe, fourth, ['timing-weights.seized'], 61, '2026-11-26T13:10:00Z');
  bench.light(800).light(2000).light(3200);
  bench.photo('coupe-4-cap', {
    station: 'cap',
    words: 'Cap before the leads came off',
    pins: [
      { x: 0.5, y: 0.16, words: 'number one, towards the radiator' },
      { x: 0.82, y: 0.5, words: 'the clip’s side' },
    ],
    onCard: true,
  });
  bench.fix('timing-weights.free', 'cleaned', '');
  bench.set('timing-body.baseDegrees', 8, 9);
  bench.light(800).light(2000).light(3200).light(3200, 'on');
  bench.sheet({ kind: 'points', pairs: [{ gapMetres: 0.32e-3, dwellDegrees: 60 }, { gapMetres: 0.45e-3, dwellDegrees: 52.5 }], lobes: [0.38e-3, 0.39e-3, 0.33e-3, 0.38e-3], lost: 'none' });
  bench.sheet({ kind: 'road', school: 'book', rounds: [{ degrees: 8, noticed: ['pulls well'], words: '' }, { degrees: 10, noticed: [], words: '' }, { degrees: 12, noticed: ['knock'], words: '' }] });

  // What its book holds from the years before.
  const service = complaint('hard-start', 'constant', 'Slow to start on cold mornings.', 'the winter', '');
  const years: [string, string, number, number, number, string][] = [
    ['coupe-s1', '2024-05-11T09:00:00Z', 0.47e-3, 0.38e-3, 5, 'points set'],
    ['coupe-s2', '2025-06-02T09:00:00Z', 0.3e-3, 0.39e-3, 7, 'points set, condenser'],
  ];
  const before = years.map(([id, at, found, left, base, parts]) => {
    const year = new Story(id, coupe, service, ['points.closed-up'], 71, at);
    year.read('battery-rest');
    year.fix('points.dress', 'replaced', parts, { partNumber: 'PS 4-1', source: 'the mainland parcel', meter: at < '2025' ? 61_240 : 64_110 });
    year.cause('points.closed-up', 'Its heel wore for want of grease', 'found');
    year.set('points.gapMetres', found, left).set('timing-body.baseDegrees', base, 8).set('plug-1.gapMetres', 0.8e-3, 0.65e-3);
    year.prove();
    return job(id, service, 'closed', at, year, {
      closedAt: year.at(),
      snags:
        id === 'coupe-s2'
          ? [
              snag('coupe-s2-a', 'Hood strap frayed', 'looks', at),
              snag('coupe-s2-b', 'Fuel hose cracked at the pump', 'danger', at),
              snag('coupe-s2-c', 'Thermostat opens late', 'reliability', at),
            ]
          : [],
    });
  });
  write('coupe', 'doctors-coupe', coupe, [
    ...before,
    job('coupe-4', fourth, 'set up', '2026-11-26T13:00:00Z', bench, { pictures: [picture('coupe-4-cap', 'cap.jpg')] }),
    job('coupe-1', c, 'trace', '2026-11-25T10:00:00Z', story),
    job('coupe-3', third, 'trace', '2026-11-26T10:30:00Z', lame),
    job('coupe-2', second, 'look', '2026-11-26T08:00:00Z', hunts),
  ]);
}
