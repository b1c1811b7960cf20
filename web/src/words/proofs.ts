import type { Confirmation, ProofView, Wanted } from '@pondu/core';

const UNDER: Readonly<Record<NonNullable<Wanted['under']>, string>> = {
  wet: 'wet',
  load: 'under load',
  'ten minutes': 'after ten minutes of running',
};

/** In which condition a proof counts, in words; nothing where any will do. */
export function wantedWords({ warmth, under, restHours }: Wanted): string {
  const said = [
    warmth === 'hot' ? 'hot, after ten minutes of running or soak' : '',
    restHours > 0 ? `cold, after ${restHours} hours of standing` : warmth === 'cold' ? 'cold' : '',
    under ? UNDER[under] : '',
  ];
  return said.filter(Boolean).join(', ');
}

export const SEEN_TO: Readonly<Record<Confirmation, { label: string; help: string }>> = {
  water: { label: 'Cooling water comes out', help: 'Never run it dry: the pump is gone within half a minute.' },
  bypass: {
    label: 'What was bypassed or unplugged for a test is back',
    help: 'Switches, fuses, interlocks, hoses, caps.',
  },
};

/** All conditions that the proofs ask for together, each once. */
export const conditionsOf = (proofs: readonly ProofView[]): string[] => [
  ...new Set(proofs.map((p) => wantedWords(p.wanted)).filter(Boolean)),
];
