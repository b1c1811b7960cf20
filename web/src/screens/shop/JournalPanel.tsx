import { format } from 'date-fns';
import { toast } from 'sonner';
import { useSWRConfig } from 'swr';
import { call } from '../../api/client.ts';
import { useJournal } from '../../api/hooks.ts';
import { problemOf } from '../../api/problem.ts';
import type { JournalEntry } from '../../api/types.ts';
import { Button } from '../../ui/Button.tsx';
import { Failed, Loading } from '../../ui/States.tsx';

const FIELDS: Readonly<Record<string, string>> = {
  fitOut: 'fit-out',
  plates: 'plate values',
  repairs: 'what repairs cost',
  ratePerHour: 'rate per hour',
  shopName: 'name of the shop',
  dearFrom: 'what a dear part is',
  owns: 'instruments',
  firingOrder: 'firing order',
};

/** Changes of house rules and machines, newest first; each can be put back. */
export function JournalPanel() {
  const journal = useJournal();
  const { mutate } = useSWRConfig();
  if (journal.error && !journal.data) return <Failed error={journal.error} retry={() => void journal.mutate()} />;
  if (!journal.data) return <Loading what="Opening the journal" />;

  async function putBack({ seq, ref }: JournalEntry) {
    try {
      const entries = await call<JournalEntry[]>('POST', `/journal/${seq}/put-back`);
      await journal.mutate(entries, { revalidate: false });
      await mutate(ref ? `/machines/${ref}` : '/house');
      toast.success('Put back as it was before that change.');
    } catch (error) {
      toast.error(problemOf(error).message);
    }
  }
  return (
    <section className="card p-4 lg:col-span-2" aria-label="Journal">
      <h2 className="text-xl">Journal of changes</h2>
      {journal.data.length === 0 && (
        <p className="text-soft">Nothing yet. Changes of house rules and machines stand here, and can be put back.</p>
      )}
      <ul className="divide-y divide-rule">
        {journal.data.map((e) => (
          <li key={e.seq} className="flex min-h-12 flex-wrap items-center gap-x-4 py-1">
            <span className="tag w-28">{format(new Date(e.at), 'd MMM HH:mm')}</span>
            <span className="grow">
              <b>{e.what === 'house' ? 'House rules' : e.name}</b>: {e.fields.map((f) => FIELDS[f] ?? f).join(', ')}
            </span>
            {e.initials && (
              <span className="tag">
                {e.initials}, {e.device}
              </span>
            )}
            {e.canPutBack && (
              <Button
                look="quiet"
                aria-label={`Put back what stood before ${format(new Date(e.at), 'd MMM HH:mm')}`}
                onClick={() => void putBack(e)}
              >
                Put back
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
