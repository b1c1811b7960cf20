import type { Check, CheckMaker } from '../../../machine/check.ts';
import { KEY_OFF } from '../../../machine/state.ts';
import { RELAY, SOLENOID, START_SWITCH } from '../ids.ts';
import { told } from './start.ts';

/** Contacts of a starter that does not let go, with an ohmmeter: nobody need let it turn again. */
export const atRest: CheckMaker = (machine) => {
  if (!told(machine)) return [];
  const across = (
    part: string,
    own: Pick<Check, 'id' | 'station' | 'label' | 'set' | 'watch' | 'minutes'>,
  ): readonly Check[] => {
    const contact = machine.partById.get(part);
    if (!contact) return [];
    const [red, black] = [contact.nodes['a']!, contact.nodes['b']!];
    return [
      {
        ...own,
        touch: `One probe on ${machine.nodeNames[red] ?? red}, the other on ${machine.nodeNames[black] ?? black}.`,
        instrument: 'ohmmeter',
        probe: { kind: 'ohms', red, black, bench: part },
        needs: [part],
        state: KEY_OFF,
        opens: [],
        cautions: ['battery'],
      },
    ];
  };
  return [
    ...across(SOLENOID, {
      id: 'crank-contacts-rest',
      station: 'solenoid',
      label: 'Resistance across the solenoid contacts, key off',
      set: 'Battery earth off, leads off the solenoid.',
      watch: 'OL with the key off. Hardly any ohms: welded.',
      minutes: 3,
    }),
    ...across(RELAY, {
      id: 'crank-relay-rest',
      station: 'start-relay',
      label: 'Resistance across the start relay contacts, key off',
      set: 'Battery earth off, the relay unplugged.',
      watch: 'OL with the key off. Hardly any ohms: welded.',
      minutes: 2,
    }),
    ...across(START_SWITCH, {
      id: 'crank-switch-rest',
      station: 'start-switch',
      label: 'Resistance across the start switch, key released',
      set: 'Battery earth off, wires off the switch, the key turned to start and released.',
      watch: 'OL once it is released. Hardly any ohms: it does not spring back.',
      minutes: 3,
    }),
  ];
};
