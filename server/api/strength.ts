import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { HttpError } from '../base/http';

/** Least strength that is taken, from 0 to 4: more than a million guesses. */
const LEAST = 2;
/** Characters that are looked at: what is longer is strong enough by then. */
const LOOKED_AT = 40;

/** Why a passphrase is weak, by what it is mostly made of. */
const REASONS: Readonly<Record<string, string>> = {
  dictionary: 'it is one that many use',
  repeat: 'it repeats itself',
  sequence: 'its letters or digits follow on one another',
  spatial: 'it is a row of neighbouring keys',
  date: 'it is a date',
};

let estimator: ZxcvbnFactory | null = null;

/** Loads the dictionaries, which takes half a second the first time. */
export const loadDictionaries = (): ZxcvbnFactory =>
  (estimator ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs }));

/**
 * @param passphrase the one that is to be
 * @param name of whoever is to have it
 * @throws HttpError 400 for a passphrase that is soon guessed, with the reason in words
 */
export function refuseWeak(passphrase: string, name: string): void {
  const estimator = loadDictionaries();
  const own = [name, ...name.split(' '), 'stone hop'];
  const text = passphrase.normalize('NFKC');
  // Blanks between do not make it strong.
  for (const looked of [text, text.replace(/\s/gu, '')]) {
    const { score, sequence } = estimator.check(looked.slice(0, LOOKED_AT), own);
    if (score >= LEAST) continue;
    const longest = [...sequence].sort((a, b) => b.token.length - a.token.length)[0];
    throw weak(longest);
  }
}

function weak(made: { readonly pattern: string; readonly dictionaryName?: string }): HttpError {
  const reason =
    made.dictionaryName === 'userInputs'
      ? 'it is your name'
      : (REASONS[made.pattern] ?? 'it is soon guessed');
  const words = `That passphrase is weak: ${reason}. Take four words that nobody would put together.`;
  return new HttpError(400, 'weak', words);
}
