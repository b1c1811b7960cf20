import { CRANKING, touch, type CheckMaker } from './check.ts';

export const lampCranking: CheckMaker = (layout) => [
  {
    id: 'lamp-cranking',
    station: 'points',
    label: 'Test lamp on the coil’s points terminal, cranking',
    set: 'Crank, gearbox out of gear.',
    touch: touch(layout, 'coil-', 'block').replace(/red|black/g, (lead) =>
      lead === (layout.fit.earth === 'negative' ? 'red' : 'black') ? 'the probe' : 'the clip',
    ),
    watch: 'Flashing means the points switch. A flicker with the battery’s sag is not flashing.',
    instrument: 'test lamp',
    probe: { kind: 'across', live: 'coil-', earth: 'block' },
    state: CRANKING,
    words: ['flashes', 'lit steadily', 'out'],
    minutes: 1.2,
    opens: [],
    cautions: ['rotating parts'],
  },
];
