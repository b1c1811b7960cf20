import type { CheckMaker } from '../../../machine/check.ts';
import { FAST, LOADED } from '../../../machine/state.ts';
import type { MachineState } from '../../../machine/part.ts';
import { logistic } from '../../../random/lcg.ts';
import { running } from './volts.ts';

const WORDS = ['charges', 'in the middle', 'discharges'] as const;
/** What moves the needle of such a gauge far enough to be seen, and how far it may be off; amperes of twelve volts. */
const SEEN_AMPS = 1.5;
const OFF_AMPS = 0.5;

/** The gauge on the dash, where there is one: which side of the middle its needle stands. */
export const dashAmmeter: CheckMaker = (machine) => {
  const { charge, volts } = machine.fit;
  if (charge?.tells !== 'ammeter' || !machine.offers.chargeAmps) return [];
  const scale = 12 / volts;
  const at = (id: string, label: string, words: string, state: MachineState, watch: string) => ({
    ...running(machine, state, words),
    id,
    station: 'battery',
    label,
    touch: 'Nothing: watch its needle for ten seconds.',
    watch,
    instrument: 'eyes' as const,
    probe: {
      kind: 'look' as const,
      sees: (scene: Parameters<NonNullable<typeof machine.offers.busVolts>>[0]) => {
        const amps = scene.see('chargeAmps', state);
        const charges = logistic((amps - SEEN_AMPS * scale) / (OFF_AMPS * scale));
        const discharges = logistic((-amps - SEEN_AMPS * scale) / (OFF_AMPS * scale));
        return { charges, 'in the middle': Math.max(0, 1 - charges - discharges), discharges };
      },
    },
    words: WORDS,
    needs: ['live-clamp', 'charge-wire'],
    minutes: 0.4,
  });
  return [
    at(
      'charge-ammeter-fast',
      'Ammeter on the dash, at speed, all off',
      'all off',
      FAST,
      'On the side of charge, and slowly back as the battery fills.',
    ),
    at(
      'charge-ammeter-loaded',
      'Ammeter on the dash, at speed, all on',
      'all on',
      LOADED,
      'Still on the side of charge. On the other: less is given than taken.',
    ),
  ];
};
