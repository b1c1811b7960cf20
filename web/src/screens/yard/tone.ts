/** A short tone: the reading stands. Silent where the browser gives no sound. */
export function tone(): void {
  if (typeof AudioContext === 'undefined') return;
  const context = new AudioContext();
  const [oscillator, gain] = [context.createOscillator(), context.createGain()];
  oscillator.frequency.value = 880;
  gain.gain.setValueAtTime(0.15, context.currentTime);
  gain.gain.exponentialRampToValueAtTime(0.001, context.currentTime + 0.35);
  oscillator.connect(gain).connect(context.destination);
  oscillator.start();
  oscillator.stop(context.currentTime + 0.4);
  oscillator.onended = () => void context.close();
}
