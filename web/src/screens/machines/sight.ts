import type { FitOut, FitOutOne } from '@pondu/core';

/** What one sees, as answers one after the other, and the fit-out that they end in. */
export type Answer =
  | 'battery'
  | 'magnets'
  | 'cap'
  | 'coils'
  | 'on-plugs'
  | 'points'
  | 'toothed'
  | 'vane'
  | 'slotted'
  | 'ring'
  | 'pack'
  | 'own-magneto'
  | 'in-distributor'
  | 'on-heat-sink'
  | 'commanded'
  | 'double-ended'
  | 'one-each';

export type Kind = Pick<FitOutOne, 'layout' | 'trigger' | 'module' | 'coils'>;
interface Leaf {
  readonly answers: readonly Answer[];
  readonly kind: Kind;
}

const electronic = (what: Answer, trigger: NonNullable<Kind['trigger']>): Leaf[] => [
  {
    answers: ['battery', 'cap', what, 'in-distributor'],
    kind: { layout: 'electronic', trigger, module: 'in the distributor' },
  },
  {
    answers: ['battery', 'cap', what, 'on-heat-sink'],
    kind: { layout: 'electronic', trigger, module: 'on a heat sink' },
  },
  { answers: ['battery', 'cap', what, 'commanded'], kind: { layout: 'electronic', trigger, module: 'commanded' } },
];

/** Every kind of trail, by what one sees on the way to it. */
export const LEAVES: readonly Leaf[] = [
  { answers: ['battery', 'cap', 'points'], kind: { layout: 'battery-points' } },
  ...electronic('toothed', 'magnetic'),
  ...electronic('vane', 'hall'),
  ...electronic('slotted', 'optical'),
  { answers: ['battery', 'cap', 'ring'], kind: { layout: 'conversion', trigger: 'hall' } },
  { answers: ['battery', 'coils', 'points', 'double-ended'], kind: { layout: 'points-coils', coils: 'double-ended' } },
  { answers: ['battery', 'coils', 'points', 'one-each'], kind: { layout: 'points-coils', coils: 'one each' } },
  { answers: ['battery', 'coils', 'pack'], kind: { layout: 'battery-discharge' } },
  { answers: ['battery', 'on-plugs'], kind: { layout: 'coil-on-plug' } },
  { answers: ['magnets', 'points'], kind: { layout: 'flywheel-magneto' } },
  { answers: ['magnets', 'pack'], kind: { layout: 'capacitor-discharge' } },
  { answers: ['magnets', 'own-magneto'], kind: { layout: 'rotating-magneto' } },
];

export const ANSWERS: Readonly<Record<Answer, { label: string; help?: string; picture: string }>> = {
  battery: { label: 'A battery', help: 'flat battery, no spark', picture: 'battery' },
  magnets: { label: 'Magnets', help: 'fires without a battery', picture: 'flywheel' },
  cap: { label: 'A distributor cap', help: 'one lead in, one out to each plug', picture: 'cap' },
  coils: { label: 'Coils beside the engine', help: 'one or two leads from each', picture: 'coil' },
  'on-plugs': { label: 'A coil on each plug', help: 'no leads at all', picture: 'plug' },
  points: { label: 'Points', help: 'a sprung arm on a cam', picture: 'points' },
  toothed: { label: 'A toothed wheel', help: 'and a small coil beside it', picture: 'winding' },
  vane: { label: 'A cup with windows', help: 'that runs through a slot', picture: 'sensor' },
  slotted: { label: 'A slotted disc', help: 'and a light through it', picture: 'disc' },
  ring: { label: 'A sealed block', help: 'where points once sat', picture: 'pack' },
  pack: { label: 'A sealed box', help: 'potted, with many wires', picture: 'pack' },
  'own-magneto': { label: 'A magneto of its own', help: 'driven, clicks as it turns', picture: 'spring' },
  'in-distributor': { label: 'In or on the distributor', picture: 'cap' },
  'on-heat-sink': { label: 'Apart, on a plate of metal', picture: 'box' },
  commanded: { label: 'Apart, told by a computer', help: 'with a check lamp', picture: 'relay' },
  'double-ended': { label: 'One coil, two leads', picture: 'coil' },
  'one-each': { label: 'A coil and points each', picture: 'points' },
};

/** The question that the answers so far lead to. */
export function questionAfter(answers: readonly Answer[]): string {
  const last = answers[answers.length - 1];
  switch (last) {
    case undefined:
      return 'What makes its electricity for the spark?';
    case 'battery':
      return 'Where do the plug leads come from?';
    case 'cap':
      return 'What is under the cap?';
    case 'coils':
      return 'What switches the coils?';
    case 'magnets':
      return 'What is under the flywheel?';
    case 'points':
      return 'How are the coils shared?';
    default:
      return 'Where is the module?';
  }
}

const begins = (leaf: Leaf, answers: readonly Answer[]) => answers.every((a, i) => leaf.answers[i] === a);

export const optionsAfter = (answers: readonly Answer[]): Answer[] => [
  ...new Set(LEAVES.filter((l) => begins(l, answers)).flatMap((l) => l.answers[answers.length] ?? [])),
];

/** The answers that lead to a machine's kind; the nearest where a part of it was never said. */
export function answersOf(fit: Kind): readonly Answer[] {
  const score = ({ kind }: Leaf) =>
    (kind.layout === fit.layout ? 8 : 0) +
    (kind.trigger === (fit.trigger ?? 'magnetic') ? 4 : 0) +
    (kind.module === (fit.module ?? 'in the distributor') ? 2 : 0) +
    (kind.coils === (fit.coils ?? 'double-ended') ? 1 : 0);
  return [...LEAVES].sort((a, b) => score(b) - score(a))[0]!.answers;
}

/** One answer changed: the first kind that fits it and all before it. */
export function kindOf(answers: readonly Answer[]): Kind {
  return LEAVES.find((l) => begins(l, answers))!.kind;
}

/** What the rest of the form asks of a kind. */
export const asks = (layout: FitOutOne['layout']) => {
  const battery = !['flywheel-magneto', 'capacitor-discharge', 'rotating-magneto'].includes(layout);
  return {
    supply: battery,
    ballast: ['battery-points', 'electronic', 'conversion', 'points-coils'].includes(layout),
    cylinders: (layout === 'points-coils'
      ? [1, 2]
      : ['battery-points', 'electronic', 'conversion'].includes(layout)
        ? [2, 3, 4, 6, 8]
        : [1, 2, 3, 4, 6, 8]) as readonly FitOut['cylinders'][],
  };
};
