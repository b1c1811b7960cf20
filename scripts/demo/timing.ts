/** A machine whose timing is told, and its job. */
import { machineBodySchema } from '@pondu/core/schema';
import { complaint, job, Story, write } from './story.ts';
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
  write('coupe', 'doctors-coupe', coupe, [
    job('coupe-1', c, 'trace', '2026-11-25T10:00:00Z', story),
    job('coupe-3', third, 'trace', '2026-11-26T10:30:00Z', lame),
    job('coupe-2', second, 'look', '2026-11-26T08:00:00Z', hunts),
  ]);
}
