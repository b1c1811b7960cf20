import type { VocabularyName } from '@pondu/core';
import { inWords, VOCABULARIES } from '@pondu/core/vocabulary';
import { useSyncExternalStore } from 'react';

/** Where this device keeps what the shop said last. */
const KEY = 'pondu.vocabulary';
const KEPT = 4000;

function readKept(): VocabularyName {
  try {
    const kept = localStorage.getItem(KEY);
    return kept !== null && Object.hasOwn(VOCABULARIES, kept) ? (kept as VocabularyName) : 'british';
  } catch {
    return 'british';
  }
}

/** The words that this page speaks: the shop's. */
class Speech {
  name = readKept();
  private readonly said = new Map<string, string>();
  private readonly watchers = new Set<() => void>();

  ofShop(name: VocabularyName): void {
    if (name === this.name) return;
    this.name = name;
    this.said.clear();
    try {
      localStorage.setItem(KEY, name);
    } catch {
      // A full store: they hold for as long as the page is open.
    }
    for (const watcher of this.watchers) watcher();
  }
  watch = (watcher: () => void): (() => void) => {
    this.watchers.add(watcher);
    return () => void this.watchers.delete(watcher);
  };

  /** A text of Pondu's own in these words. */
  say(text: string): string {
    const vocabulary = VOCABULARIES[this.name];
    if (!vocabulary) return text;
    let known = this.said.get(text);
    if (known === undefined) {
      if (this.said.size >= KEPT) this.said.clear();
      this.said.set(text, (known = inWords(text, vocabulary)));
    }
    return known;
  }
}
export const speech = new Speech();
export const useSpeech = (): VocabularyName =>
  useSyncExternalStore(
    speech.watch,
    () => speech.name,
    () => speech.name,
  );
