import { figuresAt } from '../../../machine/figures.ts';
import { looking, type CheckMaker } from '../../../machine/check.ts';
import { seen } from '../../../machine/seen.ts';
import { IDLE } from '../../../machine/state.ts';

/** Once it runs the pawls swing out and the coupling turns as one: what still clicks still lags. */
export const impulseRunning: CheckMaker = () => [
  looking(
    {
      id: 'impulse-running',
      station: 'impulse',
      label: 'Impulse coupling with the engine running',
      set: 'Engine running just above idle.',
      touch: 'Nothing: listen at the magneto.',
      watch: 'Quiet. Clicks that go on: it does not let go, and the spark stays late.',
      state: IDLE,
      words: ['quiet', 'clicks on'],
      needs: ['impulse'],
      minutes: 0.6,
      opens: [],
      cautions: ['rotating parts'],
      look: true,
    },
    ({ params }) => {
      const clicks = seen((figuresAt(params, 'impulse').lagDegrees ?? 0) > 0, 0.95);
      return { quiet: 1 - clicks, 'clicks on': clicks };
    },
  ),
];
