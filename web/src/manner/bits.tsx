import type { ReactNode } from 'react';

/** What the pictures are drawn from; places in a frame of 120 by 84. */
export const At = ({ x, y, children }: { x: number; y: number; children: ReactNode }) => (
  <g transform={`translate(${x} ${y})`}>{children}</g>
);
/** A letter or two on a dial. */
export const Sign = ({ x, y, size = 11, children }: { x: number; y: number; size?: number; children: string }) => (
  <text x={x} y={y} fontSize={size} textAnchor="middle" fill="currentColor" stroke="none">
    {children}
  </text>
);
/** A hand meter with what it reads. */
export const Meter = ({ x, y, reads }: { x: number; y: number; reads: string }) => (
  <At x={x} y={y}>
    <rect width={34} height={46} rx={5} />
    <rect x={5} y={5} width={24} height={14} rx={2} />
    <Sign x={17} y={16}>
      {reads}
    </Sign>
    <circle cx={17} cy={33} r={7} />
    <path d="M17 33l4-4" />
  </At>
);
/** A round gauge and its needle. */
export const Gauge = ({ x, y, reads }: { x: number; y: number; reads: string }) => (
  <At x={x} y={y}>
    <circle r={17} />
    <path d="M0 2l8-11" />
    <Sign x={0} y={13} size={9}>
      {reads}
    </Sign>
  </At>
);
/** The lead to what is asked about is whole, the other one broken. */
export const Lead = ({ d, other = false }: { d: string; other?: boolean }) => (
  <path d={d} {...(other ? { strokeDasharray: '4 4' } : {})} />
);
export const Tip = ({ x, y }: { x: number; y: number }) => <circle cx={x} cy={y} r={3.2} fill="currentColor" />;
/** A terminal with its nut. */
export const Stud = ({ x, y }: { x: number; y: number }) => <circle cx={x} cy={y} r={7} />;
/** Bare metal of the engine. */
export const Metal = ({ x, y }: { x: number; y: number }) => (
  <path d={`M${x} ${y}h28M${x + 2} ${y + 8}l6-8M${x + 11} ${y + 8}l6-8M${x + 20} ${y + 8}l6-8`} />
);
/** A plug, its terminal up. */
export const Plug = ({ x, y }: { x: number; y: number }) => (
  <At x={x} y={y}>
    <path d="M-2 0h4v6h3v12h-10v-12h3zM-8 18h16v7h-16zM-5 25h10v13h-10zM0 38v4M5 38v8h-5" />
  </At>
);
export const Eye = ({ x, y }: { x: number; y: number }) => (
  <At x={x} y={y}>
    <path d="M-16 0Q0-15 16 0Q0 15-16 0z" />
    <circle r={4.5} fill="currentColor" />
  </At>
);
/** A pulley or flywheel, and which way it turns. */
export const Wheel = ({ x, y, r = 18 }: { x: number; y: number; r?: number }) => (
  <At x={x} y={y}>
    <circle r={r} />
    <circle r={3} />
    <path d={`M${-r - 5}-4A${r + 6} ${r + 6} 0 0 1 4 ${-r - 5}m-5-5l6 5-6 4`} />
  </At>
);
