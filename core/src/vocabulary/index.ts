import type { VocabularyName } from '../schema/house.ts';
import { AMERICAN } from './american.ts';
import { TERMS, type Term, type Vocabulary } from './terms.ts';

export { AMERICAN, TERMS };

/** Each vocabulary; the texts themselves are written in the first. */
export const VOCABULARIES: Readonly<Record<VocabularyName, Vocabulary | undefined>> = {
  british: undefined,
  american: AMERICAN,
};

const VOWEL = /^[aeiou]/i;
/** A term as a word of its own, with the article before it: that follows the word that comes in its place. */
const TERM = new RegExp(`\\b(?:(an?) )?(${[...TERMS].sort((a, b) => b.length - a.length).join('|')})\\b`, 'gi');

const likewise = (said: string, as: string): string =>
  as[0] === as[0]!.toUpperCase() ? said[0]!.toUpperCase() + said.slice(1) : said;

/** A text with every term said as this vocabulary says it. */
export function inWords(text: string, vocabulary: Vocabulary): string {
  return text.replace(TERM, (_whole, article: string | undefined, word: string) => {
    const said = likewise(vocabulary[word.toLowerCase() as Term], word);
    if (article === undefined) return said;
    return `${article[0]}${VOWEL.test(said) ? 'n' : ''} ${said}`;
  });
}

/** The same by a vocabulary's name. */
export function saidIn(text: string, name: VocabularyName): string {
  const vocabulary = VOCABULARIES[name];
  return vocabulary ? inWords(text, vocabulary) : text;
}
