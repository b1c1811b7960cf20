import { figuresAt } from '../../../machine/figures.ts';
import { idsOf } from '../../../machine/numbered.ts';
import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';

/** A switch that still touches shows it; what only leaks through damp or dirt looks as it should. */
const HELD_OHMS = 10;

export const lookStop: CheckMaker = (machine) => [
  {
    id: 'look-stop',
    station: 'stop-switch',
    label: 'Stop switch, tether clip and their wire',
    set: 'Engine still.',
    touch: 'Look at the tether clip, work the switch, follow its wire to the engine.',
    watch: 'A clip off or cracked, a switch that does not spring back, a wire rubbed through or off.',
    instrument: 'eyes',
    probe: {
      kind: 'look',
      sees: (scene) => {
        const held = seen(figuresAt(scene.params, 'stop-switch').earthOhms < HELD_OHMS, 0.6);
        const wires = idsOf(machine, 'stop-wire');
        const rubbed =
          seen(
            wires.some((w) => figuresAt(scene.params, w).earthOhms < 1e3),
            0.5,
          ) *
          (1 - held);
        const off =
          seen(
            wires.some((w) => figuresAt(scene.params, w).ohms > 1e4),
            0.6,
          ) *
          (1 - held - rubbed);
        return {
          'held at stop': held,
          'wire rubbed through': rubbed,
          'wire off or broken': off,
          'as it should be': 1 - held - rubbed - off,
        };
      },
    },
    state: KEY_OFF,
    words: ['as it should be', 'held at stop', 'wire rubbed through', 'wire off or broken'],
    needs: ['stop-switch'],
    minutes: 1,
    opens: [],
    cautions: [],
    look: true,
  },
];
