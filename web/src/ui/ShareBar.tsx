/** A share of belief as a bar; a ghost shows where it stood before the reading being typed. */
export function ShareBar({
  share,
  before,
  tone = 'ink',
}: {
  share: number;
  before?: number | undefined;
  tone?: 'ink' | 'lost';
}) {
  const width = (s: number) => `${Math.max(0.6, s * 100)}%`;
  return (
    <div aria-hidden className="relative h-2.5 w-full overflow-hidden rounded-full bg-sunk">
      <div
        className={`absolute inset-y-0 left-0 rounded-full transition-[width] duration-200 ${tone === 'lost' ? 'bg-lost' : 'bg-ink'}`}
        style={{ width: width(share) }}
      />
      {before !== undefined && Math.abs(before - share) > 0.005 && (
        <div className="absolute inset-y-0 w-[3px] bg-do" style={{ left: `calc(${before * 100}% - 1.5px)` }} />
      )}
    </div>
  );
}
