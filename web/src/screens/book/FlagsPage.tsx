import { useParams } from 'react-router';
import { useMachine } from '../../api/hooks.ts';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { Empty, Failed, Loading } from '../../ui/States.tsx';

/** Small flags for wires: each folds around its wire, the same on both halves. */
export function FlagsPage() {
  const { id } = useParams();
  const stored = useMachine(id);
  usePageTitle('Wire flags');
  if (stored.error && !stored.data) return <Failed error={stored.error} />;
  if (!stored.data) return <Loading what="Fetching the machine" />;
  const wires = stored.data.machine.book?.wires ?? [];
  if (wires.length === 0) return <Empty title="No wire is labelled yet. Add them on the machine’s page." />;
  return (
    <div className="m-4 print:m-0">
      <div className="no-print mb-4 flex items-center gap-4">
        <h1 className="text-xl">Wire flags: {stored.data.machine.name}</h1>
        <Button look="do" onClick={() => print()}>
          Print
        </Button>
      </div>
      <ul className="flex flex-wrap gap-[2mm]">
        {wires.map((w, k) => (
          <li key={w.id} className="flex h-[14mm] w-[84mm] break-inside-avoid border border-ink bg-white text-black">
            {[0, 1].map((half) => (
              <span
                key={half}
                className="w-1/2 overflow-hidden border-dashed border-ink px-[1.5mm] text-[9pt] leading-tight first:border-r"
              >
                <b>{k + 1}</b> {w.from} → {w.to}
                <span className="block">
                  {[w.is, w.book && w.book !== w.is ? `book: ${w.book}` : ''].filter(Boolean).join(', ')}
                </span>
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}
