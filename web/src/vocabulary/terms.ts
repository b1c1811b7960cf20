/**
 * Words that regions say differently, as the texts of Pondu have them. A vocabulary says each of them; what is written
 * the same everywhere, or is also the name of something else (a metre and a meter), is none of them.
 */
export const TERMS = [
  'earth',
  'earths',
  'earthed',
  'earthing',
  'unearthed',
  'petrol',
  'carburettor',
  'carburettors',
  'bonnet',
  'spanner',
  'spanners',
  'tyre',
  'tyres',
  'silencer',
  'silencers',
  'colour',
  'colours',
  'coloured',
  'grey',
  'centre',
  'centres',
  'aluminium',
  'litre',
  'litres',
] as const;
export type Term = (typeof TERMS)[number];
export type Vocabulary = Readonly<Record<Term, string>>;
