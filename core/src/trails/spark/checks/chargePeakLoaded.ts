import { partsOf } from '../../../machine/numbered.ts';
import { chargePeakVolts } from '../dischargeSpark.ts';
import { CRANKING, type CheckMaker, type Check } from '../../../machine/check.ts';

/** At the pack with all connected, and again with the stop line away: the difference is the stop line. */
export const chargePeakLoaded: CheckMaker = (machine) => {
  const plugged: Check = {
    id: 'charge-peak-loaded',
    station: 'pack',
    label: 'Charge voltage at the pack, connected',
    set: 'All connected. Crank at full speed, plugs out or earthed.',
    touch: 'Peak adapter: red to the charge coil’s wire on the pack’s side of its connector, black to the engine.',
    watch: 'Good unplugged but low here: the connector, the stop line or the pack takes it.',
    instrument: 'peak adapter',
    picksUp: 6,
    probe: { kind: 'figure', value: (scene) => chargePeakVolts(scene, CRANKING, 'pack-in') },
    state: CRANKING,
    needs: ['charge-coil', 'pack'],
    minutes: 1.8,
    opens: [],
    cautions: ['capacitor charge', 'rotating parts'],
  };
  const state = { ...CRANKING, unplugged: partsOf(machine, 'stop-wire').map((p) => p.id) };
  const stopOff: Check = {
    ...plugged,
    id: 'charge-peak-stop-off',
    label: 'Charge voltage at the pack, stop wire unplugged',
    set: 'Stop wire unplugged. Crank at full speed, plugs out or earthed.',
    watch: 'If it comes back, the stop line was earthing it. Plug the wire back in.',
    probe: { kind: 'figure', value: (scene) => chargePeakVolts(scene, state, 'pack-in') },
    state,
    opens: ['connectors apart'],
  };
  return [plugged, stopOff];
};
