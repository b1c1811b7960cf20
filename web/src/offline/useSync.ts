import { useEffect } from 'react';
import { useSWRConfig } from 'swr';
import type { Change, JobRow, Page, Summary } from '../api/types.ts';
import { link, type Missed } from './link.ts';
import { outbox } from './outbox.ts';

type Screens = Pick<ReturnType<typeof useSWRConfig>, 'mutate' | 'cache'>;

/** What the workshop gave: its addresses, and not what a worker made of it. */
const fromWorkshop = (key: unknown) => typeof key === 'string' && key.startsWith('/');
/** Every page of a list that is shown. */
const listsOf = (address: string) => (key: unknown) => typeof key === 'string' && key.startsWith(`${address}?`);

const withSummary = (page: Page<JobRow>, id: string, summary: Summary): Page<JobRow> => ({
  ...page,
  rows: page.rows.map((r) => (r.id === id ? { ...r, summary } : r)),
});

/** Puts what the workshop tells in its place, so that open screens follow. */
function follow({ mutate, cache }: Screens, change: Change | Missed): void {
  switch (change.type) {
    case 'missed':
      return void mutate(fromWorkshop);
    case 'job':
      void mutate(`/jobs/${change.id}`);
      void mutate(listsOf('/jobs'));
      return;
    case 'jobs':
      return void mutate(listsOf('/jobs'));
    case 'machines':
      void mutate(listsOf('/jobs'));
      return void mutate(listsOf('/machines'));
    case 'machine':
      void mutate(`/machines/${change.id}`);
      void mutate('/journal');
      void mutate(listsOf('/machines'));
      return void mutate(listsOf('/jobs'));
    case 'lesson':
      void mutate('/practice');
      return void mutate(`/practice/${change.id}`);
    case 'house':
      void mutate('/house');
      void mutate('/journal');
      return void mutate(listsOf('/jobs'));
    case 'devices':
      return void mutate('/door');
    case 'summary': {
      const shown = (known?: Page<JobRow>) => known && withSummary(known, change.id, change.summary);
      // A list that is on its way would be thrown away for what is put in its place: that one is asked for anew.
      const revalidate = (_page: unknown, key: unknown) => cache.get(String(key))?.isValidating === true;
      return void mutate<Page<JobRow>>(listsOf('/jobs'), shown, { revalidate });
    }
  }
}

/** Keeps this page in step with the workshop: hears what changes, and sends up what was entered without a signal. */
export function useSync(): void {
  const { mutate, cache } = useSWRConfig();
  useEffect(() => {
    link.start();
    outbox.sent = (job) => {
      void mutate(`/jobs/${job.id}`, job, { revalidate: false });
      void mutate(listsOf('/jobs'));
    };
    let before = link.state;
    const back = () => {
      if (link.state === 'here' && before !== 'here') {
        void outbox.flush();
        // Whatever was missed meanwhile.
        if (before === 'gone') void mutate(fromWorkshop);
      }
      before = link.state;
    };
    void outbox.load().then(() => (link.state === 'here' ? outbox.flush() : undefined));
    const stops = [link.watch(back), link.listen((change) => follow({ mutate, cache }, change))];
    return () => stops.forEach((stop) => stop());
  }, [mutate, cache]);
}
