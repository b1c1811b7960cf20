import { cleanup, render, screen } from '@testing-library/react';
import { VOCABULARY_NAMES } from '@pondu/core/schema';
import { AMERICAN, inWords, TERMS } from '@pondu/core/vocabulary';
import { afterEach, describe, expect, it } from 'vitest';
import { ApiProblem } from '../api/problem.ts';
import { CAUTIONS } from '../words/cautions.ts';
import { speech } from './speech.ts';

afterEach(() => {
  cleanup();
  speech.ofShop('british');
  localStorage.clear();
});

describe('the words of a region', () => {
  it.each([
    ['Earth lead off first, on last.', 'Ground lead off first, on last.'],
    ['An earthed lead, a carburettor', 'A grounded lead, a carburetor'],
    ['an aluminium head', 'an aluminum head'],
    ['Petrol, litres', 'Gasoline, liters'],
    ['Plug leads off, a torch, jump leads', 'Plug wires off, a flashlight, jumper cables'],
    ['The leads of the meter', 'The leads of the meter'],
    ['Carburettor 2: idle passages blocked', 'Carburetor 2: idle passages blocked'],
    // None of these is one of them: a meter, a word that holds one, a battery's pole.
    ['Volts at the meter, unearthly, petroleum', 'Volts at the meter, unearthly, petroleum'],
  ])('“%s” is said “%s”', (text, said) => {
    expect(inWords(text, AMERICAN)).toBe(said);
  });
  it('said twice they are the same: no word of a region is a term that is said otherwise', () => {
    for (const text of [...TERMS, ...Object.values(CAUTIONS)]) {
      const once = inWords(text, AMERICAN);
      expect(inWords(once, AMERICAN)).toBe(once);
    }
  });
});

describe('what is drawn', () => {
  const shown = () =>
    render(
      <section aria-label="Petrol tap">
        <h2>Spark to earth</h2>
        <p>
          {2} carburettors, {'one earth'}
        </p>
        <p translate="no">The owner: it earths through the bonnet</p>
      </section>,
    );
  it('stands as it was written where nobody chose otherwise', () => {
    shown();
    expect(screen.getByRole('heading').textContent).toBe('Spark to earth');
  });
  it('is in the words that the shop chose: text, labels, pieces; what somebody wrote stays', () => {
    speech.ofShop('american');
    shown();
    expect(screen.getByRole('heading').textContent).toBe('Spark to ground');
    expect(screen.getByRole('region', { name: 'Gasoline tap' })).toBeTruthy();
    expect(screen.getByText('2 carburetors, one ground')).toBeTruthy();
    expect(screen.getByText('The owner: it earths through the bonnet')).toBeTruthy();
  });
  it('so are what the server refused, and why, also where no element shows them', () => {
    speech.ofShop('american');
    const refused = new ApiProblem(422, 'invalid', 'No petrol', [
      { field: 'typed', message: 'An earth has no volts.' },
    ]);
    expect(refused.message).toBe('No gasoline');
    expect(refused.fields).toEqual([{ field: 'typed', message: 'A ground has no volts.' }]);
  });
  it('is kept on the device for when there is no signal', () => {
    for (const name of VOCABULARY_NAMES) {
      speech.ofShop(name);
      expect(speech.name).toBe(name);
    }
    expect(localStorage.getItem('pondu.vocabulary')).toBe('american');
  });
});
