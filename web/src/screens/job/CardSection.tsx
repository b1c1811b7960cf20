import type { ReactNode } from 'react';

export function CardSection({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="mt-4 break-inside-avoid-page">
      <h3 className="mb-1 border-b border-rule text-[16px]">{title}</h3>
      {children}
    </section>
  );
}
