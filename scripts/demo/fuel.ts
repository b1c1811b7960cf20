/** Machines whose fuel is told, and their jobs. */
import { machineBodySchema } from '@pondu/core/schema';
import { complaint, job, snag, Story, write } from './story.ts';
import { compression, crank } from './told.ts';

// The net boat's outboard: a tank apart, a primer bulb, a pulse pump.
const netBoat = machineBodySchema.parse({
  name: 'Net boat’s outboard',
  kind: 'boat',
  maker: 'Gannet Motors',
  year: '1979',
  worth: 900,
  firingOrder: '1-2',
  notes: 'Tank under the stern thwart; its hose was renewed last year.',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 2,
    marine: true,
    compressionRatio: 6.9,
    litres: 0.5,
    trails: [
      { trail: 'spark', kind: 'capacitor-discharge', options: { ballast: 'none', fused: false } },
      crank('pull'),
      { trail: 'fuel', kind: 'bulb', options: { carburettors: 2, enriching: 'choke', mixed: true } },
      compression('two-stroke', { reeds: true }),
    ],
  },
});
{
  const c = complaint(
    'no-fire',
    'constant',
    'Pulls and pulls. Smells of petrol all over the boat.',
    'since it was laid up',
    'new plugs',
  );
  const story = new Story('net-boat-1', netBoat, { ...c, also: 'floods' }, ['fuel-needle.leaks'], 87, '2026-11-25T08:40:00Z');
  story.read('spark-every');
  story.read('fuel-bulb-firm');
  write('netboat', 'net-boat-outboard', netBoat, [
    job('net-boat-1', { ...c, also: 'floods' }, 'trace', '2026-11-25T08:30:00Z', story, {
      snags: [snag('net-boat-1-s1', 'Fuel in the bilge', 'danger', '2026-11-25T08:45:00Z')],
    }),
  ]);
}

// The churchyard mower: a tank over the carburettor, whose cap must breathe.
const mower = machineBodySchema.parse({
  name: 'Churchyard mower',
  kind: 'engine on a stand',
  maker: 'Harrowby',
  year: '1986',
  worth: 350,
  notes: 'The cap came from another one.',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 1,
    compressionRatio: 6.5,
    litres: 0.3,
    trails: [
      { trail: 'spark', kind: 'flywheel-magneto', options: { ballast: 'none', fused: false } },
      crank('pull'),
      { trail: 'fuel', kind: 'gravity', options: { carburettors: 1, enriching: 'choke' } },
      compression('four-stroke', { cooling: 'air' }),
    ],
  },
});
{
  const c = complaint(
    'stalls',
    'constant',
    'Cuts two strips and stops. After a cup of tea it goes again.',
    'this season',
    'new fuel cap',
  );
  const story = new Story('mower-1', mower, c, ['fuel-vent.blocked'], 91, '2026-11-25T13:10:00Z');
  write('mower', 'churchyard-mower', mower, [job('mower-1', c, 'look', '2026-11-25T13:00:00Z', story)]);
}
