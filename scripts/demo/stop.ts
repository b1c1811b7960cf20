/** A diesel whose stop is told, and its job. */
import { machineBodySchema } from '@pondu/core/schema';
import { compression } from './told.ts';
import { complaint, job, Story, write } from './story.ts';

// The harbour tender: a diesel with glow plugs, drawn to a stop by vacuum.
const tender = machineBodySchema.parse({
  name: 'Harbour tender',
  kind: 'boat',
  maker: 'Tarnwick Boatyard',
  year: '1984',
  worth: 5200,
  notes: 'Diesel. Lever on the pump is reached from the port locker.',
  fitOut: {
    volts: 12,
    earth: 'negative',
    cylinders: 4,
    marine: true,
    compressionRatio: 21,
    litres: 2.4,
    trails: [
      { trail: 'crank', kind: 'glow', options: { heat: 'plugs' } },
      { trail: 'charge', kind: 'alternator', options: { tells: 'lamp', loads: [{ label: 'Navigation lamps', watts: 40 }] } },
      { trail: 'stop', kind: 'vacuum', options: {} },
      compression('four-stroke'),
    ],
  },
});
{
  const c = complaint(
    'will-not-stop',
    'constant',
    'Key off, and she ticks on. The lever on the pump stops her.',
    'a week',
    'a hose by the manifold was moved',
  );
  const story = new Story('tender-1', tender, c, ['stop-actuator.leaks'], 41, '2026-11-25T15:10:00Z');
  story.read('stop-lever');
  write('tender', 'harbour-tender', tender, [job('tender-1', c, 'trace', '2026-11-25T15:00:00Z', story)]);
}
