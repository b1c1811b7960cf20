import { fails, lookedFor, type CauseSpec, type Failing } from '../../machine/cause.ts';

const lowVolts: CauseSpec = {
  id: 'low-volts',
  label: 'It was worked again and again with too few volts',
  faults: [
    fails('battery', 'flat', 'tired', 'cell'),
    fails('heavy joint', 'corroded'),
    fails('starter cable', 'corroded'),
  ],
  look: 'Volts at the starter’s own terminals while it cranks.',
  weight: 3,
};
const hardToTurn: CauseSpec = {
  id: 'hard-to-turn',
  label: 'The engine is hard to turn',
  faults: [fails('engine to be turned', 'stiff', 'thick')],
  look: 'Turn it by hand, plugs out.',
  weight: 2,
};
const cookedByCranking = lookedFor('cooked', 'Cranked for minutes without a rest', 'Ask the owner; smell it.', 3);

export const CRANK_CAUSES: readonly Failing[] = [
  {
    of: [fails('starter cable', 'corroded', 'rotten')],
    causes: [
      lookedFor('water', 'Water has run in under its jacket', 'Look at both ends; bend it and listen.', 3),
      lookedFor('no-grease', 'Its lug was never sealed', 'Look for green copper at the crimp.', 2),
    ],
  },
  { of: [fails('starter solenoid', 'burnt')], causes: [lowVolts, cookedByCranking] },
  {
    of: [fails('starter solenoid', 'sticky')],
    causes: [lookedFor('gum', 'Rust or old grease about its plunger', 'Push it home by hand with the battery off.', 4)],
  },
  {
    of: [fails('starter solenoid', 'pull-open', 'hold-open'), fails('start relay', 'coil-open')],
    causes: [lookedFor('held-on', 'The key was held at start, or stuck there', 'Try how the switch springs back.', 3)],
  },
  {
    of: [fails('starter motor', 'brushes', 'open')],
    causes: [
      lookedFor('oil', 'Oil from the engine on its commutator', 'Look for oil in the housing.', 2),
      cookedByCranking,
      hardToTurn,
    ],
  },
  { of: [fails('starter motor', 'shorted')], causes: [cookedByCranking, hardToTurn, lowVolts] },
  {
    of: [fails('starter drive', 'slips')],
    causes: [lookedFor('gum', 'Old grease in its clutch', 'Turn the pinion by hand: it locks one way.', 3)],
  },
  {
    of: [fails('starter drive', 'teeth')],
    causes: [
      {
        id: 'half-in',
        label: 'The pinion went in by half: its solenoid was starved or weak',
        faults: [
          fails('starter solenoid', 'pull-open', 'sticky'),
          fails('shared feed', 'corroded'),
          fails('start wire', 'corroded'),
          fails('battery', 'flat', 'tired'),
        ],
        look: 'Volts at the small terminal with the key at start.',
        weight: 4,
      },
      lookedFor('loose', 'The starter is loose on its flange', 'Try its bolts.', 2),
      lookedFor('kicks-back', 'The engine kicks back: sparks too early', 'See its timing before the next start.', 2),
    ],
  },
  {
    of: [fails('engine to be turned', 'locked')],
    causes: [
      {
        ...lookedFor(
          'gasket',
          'Water past the head gasket',
          'See what comes out: water, fuel; test the cooling by pressure.',
          3,
        ),
        where: ({ compression }) => compression?.cooling === 'water',
      },
      lookedFor(
        'drawn-in',
        'Water by the intake or back through the exhaust',
        'See what comes out; look into air filter and exhaust; ask where it stood.',
        3,
      ),
      lookedFor(
        'needle',
        'Fuel past the float needle, tap left open',
        'Smell what comes out; look at the oil’s level and smell it.',
        3,
      ),
    ],
  },
  {
    of: [fails('engine to be turned', 'stiff')],
    causes: [
      lookedFor('stood', 'It stood with a valve open', 'Look down the plug holes for rust.', 3),
      {
        ...lookedFor('unoiled', 'It ran on fuel with too little oil', 'Ask who mixed it; a drop of it on paper.', 3),
        faults: [fails('fuel tank', 'unoiled')],
        where: ({ fuel }) => fuel?.mixed === true,
      },
      lookedFor('no-oil', 'It ran without oil', 'Look at the dipstick and in the filter for metal.', 2),
      lookedFor('driven', 'What it drives is tight', 'Take belts and pump off, turn again.', 2),
    ],
  },
  {
    of: [fails('engine to be turned', 'thick')],
    causes: [
      lookedFor('wrong-oil', 'Oil of the wrong grade, or thinned and thickened by soot', 'Ask what went in.', 4),
    ],
  },
  {
    of: [fails('start switch', 'dead', 'worn'), fails('start relay', 'contact')],
    causes: [
      lookedFor('load', 'It carries the solenoid without a relay', 'See what is wired to it.', 3),
      lookedFor('damp', 'Damp has got in', 'Look for green inside.', 2),
    ],
  },
  {
    of: [fails('shared feed', 'corroded', 'broken')],
    causes: [lookedFor('heated', 'Its joint was loose under the heaters’ current', 'Look for browned insulation.', 4)],
  },
  {
    of: [fails('preheating', 'dead', 'some')],
    causes: [
      lookedFor('left-on', 'Left on by its timer or relay', 'Volts at it a minute after the start.', 3),
      lookedFor('spray', 'A nozzle that does not break up its fuel burns its tip away', 'Look at the tip.', 2),
    ],
  },
  {
    of: [fails('preheating feed', 'dead', 'burnt')],
    causes: [
      lookedFor('shorted-plug', 'A plug or the rail shorted to the engine', 'Ohms from the rail to bare metal.', 3),
      lookedFor('damp', 'Damp has got in', 'Look for green inside.', 2),
    ],
  },
  {
    of: [fails('decompressor', 'stays', 'dead')],
    causes: [lookedFor('cable', 'Its cable was set without play, or has stretched', 'Feel the play at both ends.', 3)],
  },
  {
    of: [fails('hand start', 'broken', 'pawls')],
    causes: [lookedFor('let-fly', 'The cord was let fly back', 'Ask; look at the guide for wear.', 2)],
  },
];
