import { useNavigate } from 'react-router';
import { useSWRConfig } from 'swr';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { MachineForm } from './MachineForm.tsx';

export function NewMachinePage() {
  usePageTitle('New machine');
  const go = useNavigate();
  const { mutate } = useSWRConfig();
  return (
    <div className="mx-auto grid max-w-3xl gap-4 p-3 sm:p-5">
      <h1 className="text-2xl">New machine</h1>
      <section className="card p-4" aria-label="Machine">
        <MachineForm
          draftKey="new-machine"
          onSaved={(m) => {
            void mutate('/machines');
            void go(`/machines/${m.id}`);
          }}
        />
      </section>
    </div>
  );
}
