/** How one plug looks as it comes out. */
export const PLUG_LOOKS = [
  'dry',
  'wet or sooty',
  'oily',
  'white',
  'wide gap',
  'narrow gap',
  'bridged',
  'cracked',
] as const;
export type PlugLook = (typeof PLUG_LOOKS)[number];

const ALONE = {
  'wet or sooty': 'is wet or sooty',
  oily: 'is oily',
  white: 'is white',
  'wide gap': 'has a wide gap',
  'narrow gap': 'has a narrow gap',
  bridged: 'is bridged',
  cracked: 'is cracked',
} as const;
/** What happens to one plug, never to all of a set at once. */
const OF_ONE: ReadonlySet<PlugLook> = new Set<PlugLook>(['bridged', 'cracked']);
const TOGETHER: Readonly<Record<PlugLook, string>> = {
  dry: 'all dry and even',
  'wet or sooty': 'all wet or sooty',
  white: 'all white',
  oily: 'all oily',
  'wide gap': 'all gaps wide',
  'narrow gap': 'all gaps narrow',
  bridged: 'bridged',
  cracked: 'cracked',
};
export const allPlugs = (look: PlugLook): string => TOGETHER[look];
export const onlyPlug = (n: number, look: keyof typeof ALONE): string => `only ${n} ${ALONE[look]}`;
export const SOME_WET = 'some are wet or sooty';
const tellsAlone = (look: PlugLook): look is keyof typeof ALONE => look in ALONE;

/** Every answer to a set of so many plugs laid side by side, in the order of the buttons. */
export function plugWords(cylinders: number): string[] {
  const numbers = Array.from({ length: cylinders }, (_, i) => i + 1);
  return [
    ...PLUG_LOOKS.filter((look) => cylinders === 1 || !OF_ONE.has(look)).map(allPlugs),
    ...(cylinders > 2 ? [SOME_WET] : []),
    ...(cylinders > 1 ? PLUG_LOOKS.filter(tellsAlone).flatMap((look) => numbers.map((n) => onlyPlug(n, look))) : []),
  ];
}

/** The answer for a set as it lies there, number one first; nothing where no answer fits it. */
export function plugWordOf(looks: readonly PlugLook[]): string | undefined {
  const [first] = looks;
  if (first === undefined) return undefined;
  if (looks.every((l) => l === first) && (looks.length === 1 || !OF_ONE.has(first))) return allPlugs(first);
  const odd = looks.flatMap((look, i) => (look === 'dry' ? [] : [{ look, n: i + 1 }]));
  const [one, ...others] = odd;
  if (one && others.length === 0 && tellsAlone(one.look)) return onlyPlug(one.n, one.look);
  return odd.every(({ look }) => look === 'wet or sooty') ? SOME_WET : undefined;
}

/** The set that an answer speaks of, number one first; of "some" nobody knows which. */
export function looksOf(word: string, cylinders: number): PlugLook[] | undefined {
  const together = PLUG_LOOKS.find((look) => allPlugs(look) === word && (cylinders === 1 || !OF_ONE.has(look)));
  if (together) return Array.from({ length: cylinders }, () => together);
  for (const look of PLUG_LOOKS.filter(tellsAlone))
    for (let n = 1; n <= cylinders; n++)
      if (onlyPlug(n, look) === word) return Array.from({ length: cylinders }, (_, i) => (i + 1 === n ? look : 'dry'));
  return undefined;
}
