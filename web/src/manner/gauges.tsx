import { At, Gauge, Meter, Plug, Sign, Wheel } from './bits.tsx';

const Hole = ({ x }: { x: number }) => <path d={`M${x - 34} 76V44h24v14h20V44h24v32M${x - 24} 62h6M${x + 18} 62h6`} />;

/** What is screwed in, teed in or held to it. */
export const GAUGES = {
  'rev counter': (
    <>
      <Meter x={8} y={8} reads="n" />
      <Wheel x={88} y={44} />
      <path d="M42 40h18" strokeDasharray="4 4" />
    </>
  ),
  pressure: (
    <>
      <Gauge x={60} y={24} reads="kPa" />
      <path d="M60 41v20" />
      <path d="M6 58h108M6 68h108" />
      <path d="M84 63h14m-5-4l5 4-5 4" />
    </>
  ),
  can: (
    <>
      <path d="M6 12h44C64 12 64 20 64 34" strokeWidth={6} strokeOpacity={0.45} />
      <path d="M64 38v6M64 50v6" />
      <path d="M46 40v36h38V40M46 60h38" />
      <path d="M84 46h8v18h-8" />
    </>
  ),
  compression: (
    <>
      <Gauge x={84} y={24} reads="bar" />
      <path d="M67 24C48 24 48 30 48 56" strokeWidth={4} />
      <Hole x={48} />
    </>
  ),
  'leak-down': (
    <>
      <Gauge x={62} y={22} reads="%" />
      <Gauge x={100} y={22} reads="bar" />
      <path d="M45 24C30 28 36 40 36 56" strokeWidth={4} />
      <Hole x={36} />
      <path d="M112 62c-8-6-16 6-24 0m24 10c-8-6-16 6-24 0" />
    </>
  ),
  light: (
    <>
      <path d="M8 26h26l10-6v24l-10-6H8zM14 38v22h12V38" />
      <path d="M50 24l18-6M50 32h20M50 40l18 6" />
      <Wheel x={94} y={46} r={17} />
      <path d="M82 34l-5-5" strokeWidth={4} />
    </>
  ),
  dwell: (
    <>
      <Meter x={8} y={8} reads="°" />
      <circle cx={88} cy={44} r={22} />
      <path d="M88 44L104 29A22 22 0 1 1 72 29z" fill="currentColor" fillOpacity={0.2} />
      <path d="M42 38C54 40 58 40 66 42" />
    </>
  ),
  'scan tool': (
    <>
      <rect x={8} y={14} width={44} height={56} rx={6} />
      <rect x={14} y={20} width={32} height={22} rx={2} />
      <path d="M18 28h18M18 34h12M18 52h6M30 52h6M18 60h6M30 60h6" />
      <path d="M52 42C68 42 62 60 80 60" />
      <path d="M80 48h30l-4 24H84z" />
      <path d="M88 56h4M97 56h4M88 64h4M97 64h4" />
    </>
  ),
  'plugs laid out': (
    <>
      {[18, 46, 74, 102].map((x, k) => (
        <At key={x} x={0} y={0}>
          <Plug x={x} y={8} />
          <Sign x={x} y={76}>{`${k + 1}`}</Sign>
        </At>
      ))}
    </>
  ),
} as const;
