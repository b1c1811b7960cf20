import { useNavigate } from 'react-router';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { MachineForm } from './MachineForm.tsx';

export function NewMachinePage() {
  usePageTitle('New machine');
  const go = useNavigate();
  return (
    <div className="mx-auto grid max-w-3xl gap-4 p-3 sm:p-5">
      <h1 className="text-2xl">New machine</h1>
      <section className="card p-4" aria-label="Machine">
        <MachineForm
          draftKey="new-machine"
          onSaved={(m) => {
            void go(`/machines/${m.id}`);
          }}
        />
      </section>
    </div>
  );
}
