/** Whether this browser has a voice. */
export const canSpeak = (): boolean => 'speechSynthesis' in globalThis && 'SpeechSynthesisUtterance' in globalThis;

/** Says it at once; what was being said is broken off. */
export function speak(text: string): void {
  if (!canSpeak()) return;
  speechSynthesis.cancel();
  const said = new SpeechSynthesisUtterance(text);
  said.lang = 'en';
  speechSynthesis.speak(said);
}

export function hush(): void {
  if (canSpeak()) speechSynthesis.cancel();
}
