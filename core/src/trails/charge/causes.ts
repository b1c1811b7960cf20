import { fails, lookedFor, type CauseSpec, type Failing } from '../../machine/cause.ts';

const openWhileRunning: CauseSpec = {
  id: 'ran-open',
  label: 'It ran with the battery off, or with its charge wire open',
  faults: [fails('charge wire', 'broken', 'corroded')],
  look: 'Ask; pull at every joint of the charge wire and at the clamps.',
  weight: 3,
};
const reversed = lookedFor(
  'reversed',
  'The battery, or a jump lead, was put on the wrong way round',
  'Ask; look for sparks’ marks on the posts.',
  3,
);
const badBattery: CauseSpec = {
  id: 'battery-takes-all',
  label: 'The battery takes all it can give, all the time',
  faults: [fails('battery', 'cell', 'flat')],
  look: 'Amperes into the battery after half an hour of running.',
  weight: 2,
};
const earthPoor: CauseSpec = {
  id: 'earth-poor',
  label: 'Its case has a poor earth',
  faults: [fails('regulator earth', 'poor', 'off')],
  look: 'Volts from its case to the battery’s earth post, running.',
  weight: 3,
};
const noWind = lookedFor(
  'no-wind',
  'It sits where no air reaches it',
  'Feel how hot it gets; look for dirt between its ribs.',
  2,
);
const tooHigh = [fails('regulator', 'high'), fails('regulator box', 'high'), fails('regulator-rectifier', 'high')];

export const CHARGE_CAUSES: readonly Failing[] = [
  {
    of: [fails('belt', 'slack', 'gone')],
    causes: [
      lookedFor('oily', 'Oil or water on it', 'Smell and feel it; find where that comes from.', 2),
      lookedFor('out-of-line', 'Pulleys out of line, or one that is worn', 'Lay a straightedge across both.', 2),
      lookedFor('tight-bearing', 'What it drives is tight', 'Turn each pulley by hand with the belt off.', 2),
    ],
  },
  {
    of: [fails('alternator', 'diode-open', 'diode-shorted', 'diode-leaks')],
    causes: [openWhileRunning, reversed, badBattery],
  },
  { of: [fails('alternator', 'phase', 'field-open')], causes: [badBattery, noWind] },
  {
    of: [fails('alternator', 'brushes'), fails('generator', 'brushes')],
    causes: [lookedFor('rings', 'Rough rings or commutator eat them', 'Look at the track they run on.', 3)],
  },
  {
    of: [fails('generator', 'no-residual')],
    causes: [
      reversed,
      lookedFor('stood', 'It stood for years', 'Ask the owner.', 2),
      {
        id: 'ran-back',
        label: 'Current ran back through it',
        faults: [fails('cut-out', 'welded')],
        look: 'Look at the cut-out’s contacts.',
        weight: 2,
      },
    ],
  },
  {
    of: [fails('generator', 'shorted', 'field-open')],
    causes: [
      {
        id: 'driven-hard',
        label: 'The regulator let it give too much',
        faults: tooHigh,
        look: 'Volts at speed, all off.',
        weight: 3,
      },
      badBattery,
    ],
  },
  {
    of: ['stator, one phase', 'stator, three phases'].map((kind) => fails(kind, 'open', 'earthed', 'turns')),
    causes: [
      lookedFor(
        'shunt-heat',
        'A shunt unit keeps its full current in it all day',
        'Look for browned varnish all around; think of a series unit.',
        3,
      ),
      lookedFor(
        'rubbed',
        'The flywheel rubbed it, or its wire chafed',
        'Look for bright marks; follow the wire to its grommet.',
        3,
      ),
      {
        id: 'unit-shorted',
        label: 'Its regulator-rectifier loads it wrongly',
        faults: [fails('regulator-rectifier', 'low', 'dead', 'leaks')],
        look: 'Test the unit before a new stator is joined to it.',
        weight: 3,
      },
    ],
  },
  {
    of: ['stator, one phase', 'stator, three phases'].map((kind) => fails(kind, 'weak')),
    causes: [
      lookedFor(
        'dropped',
        'The flywheel was struck, dropped or overheated',
        'Look for hammer marks; try its pull on a spanner.',
        3,
      ),
    ],
  },
  {
    of: [fails('regulator-rectifier', 'low', 'high', 'dead', 'leaks'), fails('regulator', 'low', 'high', 'dead')],
    causes: [earthPoor, noWind, openWhileRunning, reversed],
  },
  {
    of: [fails('regulator box', 'low', 'high', 'dead')],
    causes: [
      earthPoor,
      {
        id: 'field-earthed',
        label: 'Its field wire lies on metal: all that it feeds goes to earth',
        faults: [fails('field wire', 'earthed')],
        look: 'Ohms from the field wire to bare metal, both ends off.',
        weight: 2,
      },
      lookedFor('damp', 'Damp or dirt on its contacts', 'Lift the lid: look, do not touch with the battery on.', 3),
    ],
  },
  {
    of: [fails('regulator earth', 'poor', 'off')],
    causes: [lookedFor('paint', 'Paint or rust under its foot', 'Look under it.', 4)],
  },
  {
    of: [fails('field wire', 'broken', 'poor')],
    causes: [
      lookedFor(
        'shaken',
        'Nothing holds it: it shakes at the terminal',
        'Move the wire where it leaves the terminal.',
        3,
      ),
    ],
  },
  {
    of: [fails('field wire', 'earthed')],
    causes: [
      lookedFor('edge', 'It lies over an edge, a clip or something hot', 'Follow it; look at what it touches.', 4),
    ],
  },
  {
    of: [fails('cut-out', 'welded')],
    causes: [
      {
        id: 'too-much',
        label: 'More current than it is made for',
        faults: tooHigh,
        look: 'Amperes at speed, all on.',
        weight: 3,
      },
      reversed,
    ],
  },
  {
    of: [fails('charge wire', 'corroded', 'broken')],
    causes: [
      lookedFor('loose', 'A joint of it was loose and grew hot', 'Look for browned insulation on both sides of it.', 4),
    ],
  },
  {
    of: [fails('charge lamp', 'blown'), fails('lamps', 'blown')],
    causes: [
      { id: 'overcharge', label: 'Too many volts', faults: tooHigh, look: 'Volts at speed, all off.', weight: 3 },
    ],
  },
  {
    of: [fails('standing drain', 'drain')],
    causes: [
      lookedFor('added', 'Something that was added stays on', 'Count what is wired straight to the battery post.', 3),
    ],
  },
];
