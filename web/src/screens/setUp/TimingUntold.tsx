import { useState } from 'react';
import { toast } from 'sonner';
import { call } from '../../api/client.ts';
import { useMachine } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { StoredMachine } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { TIMING } from '../machines/fitOutWords.ts';

type Kind = Exclude<(typeof TIMING)[number]['value'], ''>;
const KINDS = TIMING.flatMap(({ value, ...option }) => (value === '' ? [] : [{ ...option, value }]));

/** Every engine with a spark has a timing: where nobody told by what it is advanced, one tap here tells it. */
export function TimingUntold({ machineId }: { machineId: string }) {
  const { data, mutate } = useMachine(machineId);
  const [kind, setKind] = useState<Kind | ''>('');
  async function tell(timing: Kind) {
    if (!data) return;
    const { machine, version } = data;
    const trails = [...machine.fitOut.trails, { trail: 'timing', kind: timing, options: {} }];
    try {
      const body = { ...machine, fitOut: { ...machine.fitOut, trails } };
      await mutate(await call<StoredMachine>('PUT', `/machines/${machineId}`, body, version), { revalidate: false });
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <div className="grid gap-3">
      <p className="text-soft">
        Nobody has told yet how the spark of this engine is advanced. Tell it, and this bench draws its curve, explains
        what the light shows and says how far to turn. It becomes a trail of the machine.
      </p>
      <Choice label="How is its spark advanced?" value={kind} options={KINDS} onChange={setKind} />
      <Button
        look="do"
        className="justify-self-start"
        disabled={!data || kind === ''}
        onClick={() => kind !== '' && void tell(kind)}
      >
        Tell it
      </Button>
    </div>
  );
}
