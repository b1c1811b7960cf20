import { fails, lookedFor, type CauseSpec, type Failing } from '../../machine/cause.ts';

const stood = lookedFor('stood', 'It stood with fuel in it', 'Look for varnish in the bowl; ask how long.', 4);
const dirt: CauseSpec = {
  id: 'dirt',
  label: 'Dirt comes down from the tank',
  faults: [fails('fuel tank', 'watered')],
  look: 'Look into the tank with a lamp that cannot spark; cut the filter open.',
  weight: 3,
};

export const FUEL_CAUSES: readonly Failing[] = [
  { of: [fails('fuel tank', 'stale')], causes: [stood] },
  {
    of: [fails('fuel tank', 'watered')],
    causes: [
      lookedFor('cap', 'Rain or spray gets in at the cap', 'Look at the cap’s seal, and where it stands.', 3),
      lookedFor('condensed', 'It stood half empty through the seasons', 'Ask the owner.', 2),
      lookedFor(
        'spirit',
        'Ethanol in the fuel has taken up water and separated',
        'Ask which fuel; shake a sample with water.',
        3,
      ),
    ],
  },
  {
    of: [fails('tank vent', 'blocked')],
    causes: [
      lookedFor('wrong-cap', 'A cap without a hole was fitted', 'Hold the cap to the light.', 3),
      lookedFor('nest', 'Dirt, paint or an insect’s nest', 'Blow through it.', 3),
    ],
  },
  {
    of: [fails('vapour line', 'stuck', 'kinked')],
    causes: [
      lookedFor('gum', 'Gummed up, or its spring rusted', 'Shake it; blow through it both ways.', 3),
      lookedFor(
        'laid',
        'Routed or clamped wrongly when something near it was done',
        'Follow it along its whole length.',
        3,
      ),
    ],
  },
  {
    of: [fails('fuel tap', 'blocked'), fails('fuel filter', 'blocked'), fails('tank strainer', 'blocked')],
    causes: [dirt, stood],
  },
  {
    of: [fails('bowl vent', 'blocked')],
    causes: [lookedFor('nest', 'Dirt, paint or an insect’s nest', 'Look into it with a lamp.', 3), stood],
  },
  {
    of: [fails('fuel line', 'blocked', 'air'), fails('primer bulb', 'blocked', 'leaks')],
    causes: [
      lookedFor('wrong-hose', 'Hose that fuel softens or hardens', 'Bend it, smell it; read what is printed on it.', 3),
      lookedFor('old', 'Hardened by heat and years', 'Bend it: it cracks.', 3),
    ],
  },
  {
    of: [
      fails('mechanical fuel pump', 'torn', 'worn', 'drains'),
      fails('pulse fuel pump', 'stiff', 'drains'),
      fails('electric fuel pump', 'worn'),
    ],
    causes: [
      lookedFor('spirit', 'Fuel with ethanol in it has spoilt its rubber', 'Feel the diaphragm: swollen, or hard.', 3),
      dirt,
    ],
  },
  {
    of: [fails('electric fuel pump', 'dead', 'feed')],
    causes: [
      lookedFor('ran-dry', 'It ran dry', 'Ask; see that the tank was not empty.', 2),
      lookedFor('earth', 'Its earth is rust', 'Measure from its body to the battery.', 3),
    ],
  },
  {
    of: [fails('pulse fuel pump', 'hose')],
    causes: [lookedFor('old', 'Hardened by heat and years', 'Bend it: it cracks.', 3)],
  },
  { of: [fails('needle and seat', 'shut')], causes: [stood] },
  {
    of: [fails('needle and seat', 'leaks')],
    causes: [
      dirt,
      lookedFor(
        'pressure',
        'More pressure than the seat was made for',
        'Gauge at the carburettor; what pump was fitted?',
        2,
      ),
    ],
  },
  {
    of: [fails('float', 'heavy')],
    causes: [
      lookedFor(
        'spirit',
        'Fuel with ethanol in it has soaked or cracked it',
        'Weigh it; look for a seam that weeps.',
        3,
      ),
    ],
  },
  {
    of: [fails('float', 'boils'), fails('fuel line', 'vapour')],
    causes: [
      lookedFor(
        'shield',
        'A heat shield or spacer was left out',
        'Look between carburettor and manifold; where does the hose run?',
        3,
      ),
      lookedFor('season', 'Winter fuel in a warm month', 'When was it filled?', 2),
    ],
  },
  {
    of: [fails('fuel tank', 'oily')],
    causes: [lookedFor('twice', 'It was mixed twice', 'Who filled it, and from which can?', 4)],
  },
  {
    of: [fails('fuel tank', 'unoiled')],
    causes: [lookedFor('plain', 'Filled from the can without oil', 'Who filled it, and from which can?', 4)],
  },
  {
    of: [fails('vacuum fuel tap', 'shut', 'weeps')],
    causes: [
      lookedFor('spirit', 'Fuel with ethanol in it has spoilt its rubber', 'Feel the diaphragm: swollen, or hard.', 3),
      lookedFor('old', 'Hardened by heat and years', 'Bend it: it cracks.', 3),
    ],
  },
  { of: [fails('vacuum fuel tap', 'blocked')], causes: [dirt, stood] },
  {
    of: [fails('vacuum fuel tap', 'hose')],
    causes: [lookedFor('old', 'Hardened by heat and years', 'Bend it: it cracks.', 3)],
  },
  {
    of: [fails('idle cut-off', 'stuck')],
    causes: [lookedFor('dirt', 'Dirt or varnish about its needle', 'Screw it out, look, try it on a battery.', 3)],
  },
  {
    of: [fails('idle cut-off', 'wire')],
    causes: [lookedFor('left-off', 'Left off when the carburettor was out', 'Ask; look at its push-on end.', 3)],
  },
  { of: [fails('accelerator pump', 'dead')], causes: [stood] },
  {
    of: [fails('one of several carburettors', 'idle-blocked', 'main-blocked', 'starved', 'floods')],
    causes: [dirt, stood],
  },
  {
    of: [fails('one of several carburettors', 'enriched')],
    causes: [lookedFor('seat', 'The rubber of its seat has hardened or come off', 'Look at the plunger’s end.', 4)],
  },
  { of: [fails('float', 'low')], causes: [lookedFor('set-wrong', 'It was set by eye', 'Ask who had it apart.', 4)] },
  { of: [fails('idle jet', 'blocked'), fails('main jet', 'blocked')], causes: [dirt, stood] },
  {
    of: [fails('choke', 'open', 'shut')],
    causes: [lookedFor('linkage', 'Its cable or linkage is out of place', 'Work it by hand and watch both ends.', 3)],
  },
];
