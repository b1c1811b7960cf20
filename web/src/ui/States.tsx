import { LoaderCircle, TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { problemOf } from '../api/problem.ts';
import { Button } from './Button.tsx';

export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="flex items-center gap-2 p-6 text-soft">
      <LoaderCircle aria-hidden className="size-5 animate-spin" /> {what}
    </p>
  );
}

export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  return (
    <div role="alert" className="card m-4 flex flex-wrap items-center gap-3 p-4">
      <TriangleAlert aria-hidden className="size-6 shrink-0 text-danger" />
      <p className="grow">{problemOf(error).message}</p>
      {retry && <Button onClick={retry}>Try again</Button>}
    </div>
  );
}

export function Empty({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <div className="card grid place-items-center gap-3 p-8 text-center">
      <p className="text-lg font-semibold">{title}</p>
      {children}
    </div>
  );
}
