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

/** Keyed by fault; a star stands for any cylinder. */
export const CAUSES: Readonly<Record<string, readonly CauseSpec[]>> = {
  'points.burnt': [
    ...tooMuchCurrent,
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
  'coil.primary-open': tooMuchCurrent,
  'coil.primary-shorted': tooMuchCurrent,
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
};

const starred = (id: string) => id.replace(/-\d+\./, '-*.');

export const causesOf = (faultId: string): readonly CauseSpec[] => CAUSES[faultId] ?? CAUSES[starred(faultId)] ?? [];

/** Whether a model fault is one that a cause names; `of` is the fault whose cause is sought, for "the same cylinder". */
export function names(cause: CauseSpec, candidate: string, of: string): boolean {
  const own = /-(\d+)\./.exec(of)?.[1];
  return cause.faults.some((pattern) => {
    if (!pattern.includes('*')) return pattern === candidate;
    if (own !== undefined) return pattern.replace('*', own) === candidate;
    return pattern === starred(candidate);
  });
}
