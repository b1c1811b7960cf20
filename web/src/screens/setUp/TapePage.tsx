import { tapeOf, TAPE_RIM } from '@pondu/core';
import { useSearchParams } from 'react-router';
import { usePageTitle } from '../../app/usePageTitle.ts';
import { Button } from '../../ui/Button.tsx';
import { TextField } from '../../ui/Field.tsx';
import { Empty } from '../../ui/States.tsx';
import { showBand, showQuantity } from '../../units/quantity.ts';

/** What a tape usually spans, and the most that is printed either way; degrees. */
const [BEFORE, AFTER, MOST] = [40, 20, 180];
const MARK_EVERY = 2;
const [HEIGHT, LONG, SHORT] = [19, 9, 5];
/** So much of a sheet is used across, mm; a longer tape goes on in the next strip. */
const STRIP = 180;
const CHECK_MM = 100;

/** A timing tape at true scale with a line to check it by; printed at 100 %. */
export function TapePage() {
  const [params, setParams] = useSearchParams();
  usePageTitle('Timing tape');
  const across = Number(params.get('across'));
  if (!(across >= TAPE_RIM.least && across <= TAPE_RIM.most))
    return (
      <Empty
        title={`A tape is drawn for rims of ${showBand(TAPE_RIM.least, TAPE_RIM.most, 'length')} across. Give the rim’s size on the set-up bench.`}
      />
    );
  const before = span(params.get('before'), BEFORE);
  const after = span(params.get('after'), AFTER);
  const machine = params.get('machine') ?? '';
  const { marks, millimetres } = tapeOf(across, { from: -before, to: after });
  const set = (side: 'before' | 'after', text: string) =>
    setParams(
      (old) => {
        const next = new URLSearchParams(old);
        next.set(side, text);
        return next;
      },
      { replace: true },
    );
  const strips = Array.from(
    { length: Math.ceil(millimetres / STRIP) },
    (_v, k) => [k * STRIP, Math.min(millimetres, (k + 1) * STRIP)] as const,
  );
  return (
    <div className="m-4 grid gap-4 print:m-0">
      <div className="no-print flex flex-wrap items-center gap-4">
        <h1 className="text-xl">Timing tape for a rim of {showQuantity(across, 'length', { significant: 4 })}</h1>
        <TextField
          label="Degrees before top"
          inputMode="numeric"
          value={params.get('before') ?? String(BEFORE)}
          onChange={(e) => set('before', e.target.value)}
        />
        <TextField
          label="Degrees after top"
          inputMode="numeric"
          value={params.get('after') ?? String(AFTER)}
          onChange={(e) => set('after', e.target.value)}
        />
        <Button look="do" onClick={() => print()}>
          Print
        </Button>
        <p className="basis-full text-soft">
          Print at 100 %, not “fit to page”. Measure the check line first: it must be 100 mm. Set 0 at the true top
          mark, early side the way the rim turns.
        </p>
      </div>
      <p>
        {[
          machine,
          `rim ${showQuantity(across, 'length', { significant: 4 })} across`,
          `${before}° before top to ${after}° after`,
        ]
          .filter(Boolean)
          .join(', ')}
      </p>
      <svg
        role="img"
        aria-label="Check line, 100 mm"
        width="120mm"
        height="12mm"
        viewBox="0 0 120 12"
        className="bg-panel"
      >
        <line id="check-line" x1="5" x2={5 + CHECK_MM} y1="5" y2="5" stroke="black" strokeWidth="0.3" />
        <line x1="5" x2="5" y1="3" y2="7" stroke="black" strokeWidth="0.3" />
        <line x1={5 + CHECK_MM} x2={5 + CHECK_MM} y1="3" y2="7" stroke="black" strokeWidth="0.3" />
        <text x="55" y="11" fontSize="3.5" textAnchor="middle">
          this line is 100 mm
        </text>
      </svg>
      {strips.map(([from, to]) => (
        <svg
          key={from}
          role="img"
          aria-label={`Tape from ${((from / millimetres) * (before + after) - before).toFixed(0)} degrees`}
          width={`${to - from + 6}mm`}
          height={`${HEIGHT + 2}mm`}
          viewBox={`-3 -1 ${to - from + 6} ${HEIGHT + 2}`}
          className="bg-white"
        >
          {from === 0 && (
            <text x="2" y={LONG + 3} fontSize="2.6" fill="black">
              before top
            </text>
          )}
          {to >= millimetres && (
            <text x={to - from - 2} y={LONG + 3} fontSize="2.6" textAnchor="end" fill="black">
              after
            </text>
          )}
          <rect x="0" y="0" width={to - from} height={HEIGHT} fill="none" stroke="black" strokeWidth="0.2" />
          {marks
            .filter((m) => m.millimetres >= from - 1e-6 && m.millimetres <= to + 1e-6)
            .map((m) => (
              <g key={m.degrees} transform={`translate(${m.millimetres - from} 0)`}>
                <line
                  x1="0"
                  x2="0"
                  y1="0"
                  y2={m.long ? LONG : SHORT}
                  stroke="black"
                  strokeWidth={m.degrees === 0 ? 0.6 : 0.25}
                />
                {m.long && (
                  <text x="0" y={HEIGHT - 2} fontSize="4" textAnchor="middle" fill="black">
                    {m.degrees === 0 ? 'TOP' : Math.abs(m.degrees)}
                  </text>
                )}
              </g>
            ))}
        </svg>
      ))}
    </div>
  );
}

/** Whole marks, one at least; what cannot be read is what is usual. */
function span(text: string | null, usual: number): number {
  const typed = text === null || text.trim() === '' ? usual : Number(text);
  const marks = Number.isFinite(typed) ? Math.round(typed / MARK_EVERY) : usual / MARK_EVERY;
  return MARK_EVERY * Math.min(MOST / MARK_EVERY, Math.max(1, marks));
}
