/** Why a part failed. A cause that is itself a fault of the model is judged by the same readings and checks. */
export interface CauseSpec {
  readonly id: string;
  readonly label: string;
  /** Faults of the model that amount to this cause, as `part.mode`. */
  readonly faults: readonly string[];
  /** What to do to see, where no check of the model answers. */
  readonly look: string;
  /** How often it is this, against the others and plain age. */
  readonly weight: number;
}

/** Plain age and wear: always possible, never looked for. */
export const AGE_WEIGHT = 4;

const tooMuchCurrent: readonly CauseSpec[] = [
  {
    id: 'ballast-bypassed',
    label: 'The coil draws too much: its ballast is bypassed',
    faults: ['ballast.bypassed'],
    look: 'Follow the feed through the ballast; measure it.',
    weight: 3,
  },
  {
    id: 'wrong-coil',
    label: 'The coil draws too much: it is of the wrong type',
    faults: ['coil.wrong'],
    look: 'Read the coil’s label; measure its primary.',
    weight: 2,
  },
];
const staysOn: CauseSpec = {
  id: 'stays-on',
  label: 'Its feed stays on with the key off',
  faults: ['switch.stays-on'],
  look: 'Volts at the feed with the key off.',
  weight: 1,
};
const openSecondary: readonly CauseSpec[] = [
  {
    id: 'lead-open',
    label: 'A lead was open, so the spark had nowhere to go',
    faults: ['coil-lead.open', 'lead-*.open'],
    look: 'Measure every lead end to end.',
    weight: 3,
  },
  {
    id: 'gaps-wide',
    label: 'Plug gaps burnt wide',
    faults: ['plugs.wide', 'plug-*.wide'],
    look: 'Gauge every plug.',
    weight: 3,
  },
];

const hotOrLoose = (earth: string): readonly CauseSpec[] => [
  {
    id: 'earth-poor',
    label: 'It sat on a poor earth and cooked',
    faults: [earth],
    look: 'Measure its earth; look for dried or missing heat paste under it.',
    weight: 3,
  },
  {
    id: 'lead-open',
    label: 'A lead was off or open while it ran',
    faults: ['coil-lead.open', 'lead-*.open'],
    look: 'Measure every lead end to end.',
    weight: 2,
  },
];
const drivenHard: readonly CauseSpec[] = [
  {
    id: 'coil-low',
    label: 'The coil draws too much: turns shorted, or of the wrong type',
    faults: ['coil.primary-shorted', 'coil.wrong'],
    look: 'Measure its primary; read its label.',
    weight: 3,
  },
];
const ownOpen: readonly CauseSpec[] = [
  {
    id: 'own-lead-open',
    label: 'Its lead or boot was open, so the spark had nowhere to go',
    faults: ['lead-*.open'],
    look: 'Measure the lead end to end.',
    weight: 3,
  },
  {
    id: 'own-gap-wide',
    label: 'Its plug’s gap burnt wide',
    faults: ['plug-*.wide'],
    look: 'Gauge the plug.',
    weight: 3,
  },
];
const nutLoose: CauseSpec = {
  id: 'nut-loose',
  label: 'The flywheel nut was loose, or the taper dirty',
  faults: [],
  look: 'Look for bruises on the taper; try the nut before it comes off.',
  weight: 4,
};

/** Keyed by fault; a star stands for any cylinder. */
export const CAUSES: Readonly<Record<string, readonly CauseSpec[]>> = {
  'points.burnt': [
    ...tooMuchCurrent,
    staysOn,
    {
      id: 'condenser',
      label: 'The condenser is of the wrong value or failing',
      faults: ['condenser.open', 'condenser.leaky'],
      look: 'Watch the points for arcing; measure the condenser.',
      weight: 3,
    },
    {
      id: 'oil',
      label: 'Oil or grease on the contacts',
      faults: [],
      look: 'Look for oil under the base plate and too much grease on the cam.',
      weight: 2,
    },
  ],
  'points.closed-up': [
    {
      id: 'heel-dry',
      label: 'The heel ran dry on the cam',
      faults: [],
      look: 'Feel the cam for grease and the heel for wear.',
      weight: 4,
    },
    {
      id: 'screw-loose',
      label: 'The fixing screw was loose',
      faults: [],
      look: 'Try the screw before moving it.',
      weight: 2,
    },
  ],
  'fuse.blown': [
    {
      id: 'short',
      label: 'A short behind the fuse',
      faults: ['coil-feed.chafed'],
      look: 'Measure the feed wire to earth with the fuse out, before a new one goes in.',
      weight: 5,
    },
    {
      id: 'wrong-rating',
      label: 'The fuse was too small',
      faults: [],
      look: 'Read its rating against the plate value.',
      weight: 2,
    },
  ],
  'coil.primary-open': [...tooMuchCurrent, staysOn],
  'coil.primary-shorted': [...tooMuchCurrent, staysOn],
  'coil.insulation': openSecondary,
  'coil.secondary-open': openSecondary,
  'rotor.punched': openSecondary,
  'cap.tracked': [
    ...openSecondary,
    {
      id: 'dirt',
      label: 'Dirt and damp on the cap',
      faults: [],
      look: 'Look for the path of the track and what started it.',
      weight: 3,
    },
  ],
  'ballast.open': [
    { id: 'key-left-on', label: 'Key left on with the engine still', faults: [], look: 'Ask the owner.', weight: 3 },
  ],
  'condenser.shorted': [
    { id: 'heat', label: 'Mounted where it cooks', faults: [], look: 'See how near the exhaust it sits.', weight: 1 },
  ],
  'battery.flat': [
    staysOn,
    {
      id: 'no-charge',
      label: 'It is not being charged',
      faults: [],
      look: 'Volts at the battery at a fast idle: see the charge trail.',
      weight: 5,
    },
    {
      id: 'drain',
      label: 'Something drains it standing',
      faults: [],
      look: 'Earth lead off, meter in series, everything off.',
      weight: 3,
    },
  ],
  'battery.tired': [
    {
      id: 'overcharge',
      label: 'Boiled dry by overcharging',
      faults: [],
      look: 'Look at the level in every cell; volts at a fast idle.',
      weight: 2,
    },
  ],
  'plugs.fouled': [
    {
      id: 'weak-spark',
      label: 'The spark is weak',
      faults: ['condenser.leaky', 'coil.primary-shorted', 'coil.wrong', 'points.burnt'],
      look: 'Spark at the coil lead.',
      weight: 3,
    },
    {
      id: 'rich',
      label: 'Flooded: too much choke, float high, needle leaking',
      faults: [],
      look: 'Smell the intake; look down the carburettor with the engine still.',
      weight: 4,
    },
  ],
  'plug-*.fouled': [
    {
      id: 'oil',
      label: 'That cylinder passes oil',
      faults: [],
      look: 'Compression, dry and with a spoon of oil.',
      weight: 2,
    },
    {
      id: 'lead',
      label: 'Its lead is poor',
      faults: ['lead-*.open', 'lead-*.leaking'],
      look: 'Measure its lead.',
      weight: 2,
    },
  ],
  'module.dead': [...hotOrLoose('module-earth.poor'), ...drivenHard],
  'module.weak': hotOrLoose('module-earth.poor'),
  'module.stuck': drivenHard,
  'pack.dead': hotOrLoose('pack-earth.poor'),
  'pack.channel-*': ownOpen,
  'charge-coil.open': [
    {
      id: 'rubbed',
      label: 'The flywheel rubbed it',
      faults: [],
      look: 'Look for bright marks on coil and magnets; feel the crank’s bearing.',
      weight: 3,
    },
  ],
  'charge-coil.earthed': [
    { id: 'chafed', label: 'Its wire was pinched under the plate', faults: [], look: 'Follow the wire.', weight: 3 },
  ],
  'flywheel.sheared': [
    nutLoose,
    { id: 'stopped-dead', label: 'The engine was stopped dead', faults: [], look: 'Ask the owner.', weight: 3 },
  ],
  'coil-*.insulation': ownOpen,
  'coil-*.secondary-open': ownOpen,
  'coil-*.dead': ownOpen,
  'points-*.burnt': [
    {
      id: 'own-condenser',
      label: 'Its condenser is of the wrong value or failing',
      faults: ['condenser-*.open', 'condenser-*.leaky'],
      look: 'Watch the points for arcing; measure the condenser.',
      weight: 3,
    },
    {
      id: 'stood',
      label: 'It stood damp for years',
      faults: [],
      look: 'Look for furring on the faces.',
      weight: 3,
    },
  ],
  'impulse.stuck': [
    { id: 'gum', label: 'Old grease turned to gum', faults: [], look: 'Smell and feel the pawls.', weight: 4 },
  ],
  'suppressor.shorted': [
    { id: 'heat', label: 'Mounted where it cooks', faults: [], look: 'See how near the exhaust it sits.', weight: 1 },
  ],
};

/** A cylinder's number, in the part's name or at the end of the way it failed. */
const starred = (id: string) => id.replace(/-\d+(?=\.|$)/, '-*');

export const causesOf = (faultId: string): readonly CauseSpec[] => CAUSES[faultId] ?? CAUSES[starred(faultId)] ?? [];

/** Whether a model fault is one that a cause names; `of` is the fault whose cause is sought, for "the same cylinder". */
export function names(cause: CauseSpec, candidate: string, of: string): boolean {
  const own = /-(\d+)(?=\.|$)/.exec(of)?.[1];
  return cause.faults.some((pattern) => {
    if (!pattern.includes('*')) return pattern === candidate;
    if (own !== undefined) return pattern.replace('*', own) === candidate;
    return pattern === starred(candidate);
  });
}
