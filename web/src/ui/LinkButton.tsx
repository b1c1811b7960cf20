import type { ReactNode } from 'react';
import { Link } from 'react-router';

export function LinkButton({
  to,
  children,
  look = 'plain',
}: {
  to: string;
  children: ReactNode;
  look?: 'do' | 'plain';
}) {
  const colours =
    look === 'do'
      ? 'bg-do text-on-do border-transparent font-semibold hover:brightness-110'
      : 'bg-panel border-soft hover:bg-sunk';
  return (
    <Link
      to={to}
      className={`inline-flex min-h-12 items-center justify-center gap-2 rounded-lg border-[1.5px] px-4 text-[15px] ${colours}`}
    >
      {children}
    </Link>
  );
}
