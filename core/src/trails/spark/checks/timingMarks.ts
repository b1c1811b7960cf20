import { CRANKING, hasPart, KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** Without drawing the flywheel: its mark against the piston at the top. */
export const timingMarks: CheckMaker = (machine) => [
  {
    id: 'timing-marks',
    does: ['turned by hand'],
    station: hasPart(machine, 'flywheel') ? 'flywheel' : 'drive',
    label: hasPart(machine, 'flywheel')
      ? 'Flywheel mark against the piston at its top'
      : 'Magneto’s firing moment against the piston at its top',
    set: 'Plugs out. Turn by hand with a soft rod on piston 1 until it stands at its top.',
    touch: hasPart(machine, 'flywheel')
      ? 'Look where the mark on the flywheel stands against the one on the engine.'
      : 'Look where the points open, or the impulse snaps, against the mark on the engine.',
    watch: 'In line within a few degrees. Tens of degrees out: a sheared key, or a drive a tooth off.',
    // A starter has a drive too: only a magneto’s is meant.
    needs: [hasPart(machine, 'flywheel') ? 'flywheel' : 'drive'],
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const out = seen(Math.abs(scene.see('degreesOff', CRANKING)) > 15, 0.95);
        return { 'far out': out, 'in line': 1 - out };
      },
    },
    state: KEY_OFF,
    words: ['in line', 'far out'],
    minutes: 4,
    opens: ['plugs out'],
    cautions: ['rotating parts', 'fuel vapour'],
  },
];
