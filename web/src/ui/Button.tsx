import type { ButtonHTMLAttributes } from 'react';

const LOOKS = {
  do: 'bg-do text-on-do border-transparent font-semibold hover:brightness-110',
  plain: 'bg-panel text-ink border-soft hover:bg-sunk',
  quiet: 'bg-transparent text-ink border-transparent hover:bg-sunk',
} as const;

/** 48 px high; `do` is the one obvious next thing on a screen. */
export function Button({
  look = 'plain',
  className = '',
  type = 'button',
  ...rest
}: ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof LOOKS }) {
  const classes = `inline-flex min-h-12 min-w-12 items-center justify-center gap-2 rounded-lg border-[1.5px] px-4 text-[15px] disabled:opacity-55 disabled:cursor-not-allowed ${LOOKS[look]} ${className}`;
  return <button type={type} className={classes} {...rest} />;
}
