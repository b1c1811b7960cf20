import type { Drawing } from '@pondu/core';
import ELK from 'elkjs/lib/elk-api.js';
import workerUrl from 'elkjs/lib/elk-worker.min.js?url';
import useSWR from 'swr';
import { layOut } from './layout.ts';

let elk: InstanceType<typeof ELK> | undefined;
/** One layout worker for the whole page, started when a drawing is first opened. */
const layouter = () => (elk ??= new ELK({ workerUrl }));

/** Starts the layout while the page still fetches what is to be drawn. */
export const warmUp = (): void => void layouter().layout({ id: 'nothing', children: [] });

/** A drawing set on a page; the same drawing is set once. */
export const useLaid = (drawing: Drawing | undefined) =>
  useSWR(drawing ? ['laid', JSON.stringify(drawing)] : null, () => layOut(drawing!, layouter()), {
    revalidateOnFocus: false,
    revalidateOnReconnect: false,
    revalidateIfStale: false,
    keepPreviousData: true,
  });
