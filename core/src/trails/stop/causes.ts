import { fails, lookedFor, type Failing } from '../../machine/cause.ts';

const oil = lookedFor('oil', 'Oil from the pump has softened its rubber', 'Look for oil in the line.', 3);

export const STOP_CAUSES: readonly Failing[] = [
  { of: [fails('stop actuator', 'leaks'), fails('reservoir and check valve', 'leaks')], causes: [oil] },
  {
    of: [fails('stop line', 'leaks')],
    causes: [lookedFor('chafed', 'Chafed or baked where it lies', 'Follow it with a hand.', 4)],
  },
  {
    of: [fails('vacuum source', 'weak')],
    causes: [lookedFor('dry', 'Its oil feed is blocked', 'Look for oil at its drive.', 2)],
  },
  {
    of: [fails('stop valve', 'shut', 'open')],
    causes: [lookedFor('dirt', 'Dirt in its ports', 'Blow through it.', 2)],
  },
  {
    of: ['stop solenoid, energised to run', 'stop solenoid, energised to stop'].map((k) => fails(k, 'coil', 'stuck')),
    causes: [lookedFor('held', 'Held by full volts for hours', 'See whether its relay or limit switch lets go.', 2)],
  },
  {
    of: [fails('stop feed', 'fed-back')],
    causes: [
      {
        id: 'lamp',
        label: 'The charge lamp feeds it',
        faults: [fails('charge lamp', 'swapped')],
        look: 'Pull the lamp’s wire while it runs on.',
        weight: 3,
      },
    ],
  },
  {
    of: [fails('stop feed', 'open')],
    causes: [lookedFor('fuse', 'Its fuse, blown by a chafed wire', 'Follow the wire before a new fuse goes in.', 3)],
  },
  {
    of: [fails('stop cable', 'broken', 'seized'), fails('stop lever', 'open', 'shut')],
    causes: [lookedFor('rust', 'Rust and no oil', 'Work it with oil, once it is off.', 3)],
  },
];
