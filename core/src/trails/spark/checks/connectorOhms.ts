import { KEY_OFF, type CheckMaker } from '../../../machine/check.ts';

const ENDS = [
  { part: 'connector', station: 'connector', red: 'chg', black: 'pack-in', what: 'charge coil’s' },
  { part: 'trigger-connector', station: 'trigger-connector', red: 'trg', black: 'trg-in', what: 'trigger’s' },
] as const;

export const connectorOhms: CheckMaker = () =>
  ENDS.map(({ part, station, red, black, what }) => ({
    id: `${part}-ohms`,
    station,
    label: `Through the ${what} connector`,
    set: 'Engine still, connector together, the far ends of its wires free.',
    touch: 'One probe behind the plug, the other behind the socket; move the wires as you read.',
    watch: 'Nearly nothing, and steady. Thousands of ohms hide where little current flows.',
    instrument: 'ohmmeter',
    probe: { kind: 'ohms', red, black, bench: part },
    state: KEY_OFF,
    minutes: 2,
    opens: [],
    cautions: [],
  }));
