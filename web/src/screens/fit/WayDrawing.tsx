import type { Wired } from '@pondu/core';
import { showWire } from '../../units/quantity.ts';

const [WIDTH, HEIGHT] = [420, 190];
const [WINDING, UNIT_L, UNIT_R, BATTERY] = [70, 170, 270, 370];
const EARTH = 165;

/** Half circles in a row: a winding from left to right. */
const humps = (x: number, y: number) => `M${x} ${y}` + Array.from({ length: 4 }, () => 'a6.5 6.5 0 0 1 13 0').join(' ');

function Earth({ x }: { x: number }) {
  return (
    <g stroke="var(--ink)" strokeWidth="2">
      {[14, 9, 4].map((w, k) => (
        <line key={w} x1={x - w} x2={x + w} y1={EARTH + k * 5} y2={EARTH + k * 5} />
      ))}
    </g>
  );
}

/** The machine’s winding, its legs, the unit, fuse and battery: as it is to be wired. */
export function WayDrawing({ wired: { way, toBattery, leg } }: { wired: Wired }) {
  const three = way.id.startsWith('three');
  const two = way.id.startsWith('two');
  const ys = three || two ? [45, 80, 115] : way.legs === 2 ? [55, 105] : [80];
  const middle = 80;
  const words = `${way.label}: ${way.legs === 1 ? 'one leg' : `${way.legs} legs`} to the unit, from there over a fuse of ${toBattery.fuseAmps} A to the battery${way.legs === 1 ? '; the other end of the coil on the core' : ''}${two ? '; the third leg ends insulated' : ''}.`;
  const stroke = { stroke: 'var(--ink)', strokeWidth: 2, fill: 'none' } as const;
  const text = { fontSize: 12.5, fill: 'var(--soft)' } as const;
  return (
    <svg role="img" aria-label={words} viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full max-w-[520px]">
      {three || two
        ? ys.map((y, k) => (
            <g key={y}>
              <path d={`M${WINDING - 40} ${middle}L${WINDING - 26} ${y}`} {...stroke} />
              <path d={humps(WINDING - 26, y)} {...stroke} />
              {two && k === 2 ? (
                <g>
                  <path d={`M${WINDING + 26} ${y}H${WINDING + 44}`} {...stroke} strokeDasharray="3 3" />
                  <text x={WINDING + 48} y={y + 4} {...text}>
                    insulated
                  </text>
                </g>
              ) : (
                <path d={`M${WINDING + 26} ${y}H${UNIT_L}`} {...stroke} />
              )}
            </g>
          ))
        : ys.length === 2 && (
            <g>
              <path d={`M${UNIT_L} ${ys[0]}H${WINDING}V${middle - 26}`} {...stroke} />
              <path d={humps(0, 0)} transform={`translate(${WINDING} ${middle - 26}) rotate(90)`} {...stroke} />
              <path d={`M${WINDING} ${middle + 26}V${ys[1]}H${UNIT_L}`} {...stroke} />
            </g>
          )}
      {ys.length === 1 && (
        <g>
          <path d={`M${UNIT_L} ${middle}H${WINDING}V${middle + 6}`} {...stroke} />
          <path d={humps(0, 0)} transform={`translate(${WINDING} ${middle + 6}) rotate(90)`} {...stroke} />
          <path d={`M${WINDING} ${middle + 58}V${EARTH}`} {...stroke} />
          <Earth x={WINDING} />
        </g>
      )}
      <rect
        x={UNIT_L}
        y={26}
        width={UNIT_R - UNIT_L}
        height={108}
        rx="8"
        fill="var(--sunk)"
        stroke="var(--ink)"
        strokeWidth="2"
      />
      {/* A diode in words would be longer: triangle and bar, and what holds it back. */}
      <path d="M205 48l22 13l-22 13zM227 48v26" {...stroke} fill="var(--ink)" />
      <text x={(UNIT_L + UNIT_R) / 2} y={98} textAnchor="middle" fontSize="13" fontWeight="600" fill="var(--ink)">
        {way.legs === 1 ? 'half wave' : 'full wave'}
      </text>
      <text x={(UNIT_L + UNIT_R) / 2} y={116} textAnchor="middle" fontSize="13" fontWeight="600" fill="var(--ink)">
        {way.control}
      </text>
      <path d={`M220 134V${EARTH}`} {...stroke} />
      <Earth x={220} />
      <path d={`M${UNIT_R} 61H${BATTERY}V92`} {...stroke} />
      <rect x={300} y={54} width={34} height={14} rx="3" fill="var(--panel)" stroke="var(--ink)" strokeWidth="2" />
      <text x={317} y={46} textAnchor="middle" {...text}>
        {toBattery.fuseAmps} A
      </text>
      <g stroke="var(--ink)" strokeWidth="2.5">
        <line x1={BATTERY - 18} x2={BATTERY + 18} y1={92} y2={92} />
        <line x1={BATTERY - 9} x2={BATTERY + 9} y1={101} y2={101} strokeWidth="5" />
      </g>
      <path d={`M${BATTERY} 104V${EARTH}`} {...stroke} />
      <Earth x={BATTERY} />
      <text x={UNIT_L - 8} y={20} textAnchor="end" {...text}>
        wires {showWire(leg.mm2)}
      </text>
      <text x={UNIT_R + 8} y={88} {...text}>
        {showWire(toBattery.mm2)}
      </text>
    </svg>
  );
}
