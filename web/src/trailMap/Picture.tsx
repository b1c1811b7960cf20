import type { ReactNode } from 'react';

/** Small drawings of our own, on a 24-unit square, by the name that a station gives. */
const DRAWINGS: Readonly<Record<string, ReactNode>> = {
  battery: (
    <>
      <rect x="3" y="8" width="18" height="11" rx="1.5" />
      <path d="M6 8V5h3v3M15 8V5h3v3M6 13h4M16 11v4M14 13h4" />
    </>
  ),
  clamp: <path d="M12 3v7M8 10h8v4a4 4 0 0 1-8 0zM12 18v3M5 12h3M16 12h3" />,
  lamp: <path d="M8 14a6 6 0 1 1 8 0v3H8zM9 20h6M12 14v-4M10 9l2 2 2-2" />,
  wire: <path d="M2 12h4c2 0 2-5 4-5s2 10 4 10 2-5 4-5h4" />,
  fuse: (
    <>
      <rect x="4" y="8" width="16" height="8" rx="4" />
      <path d="M1 12h4c3 0 3-2 7 0s4 0 7 0h4" />
    </>
  ),
  switch: (
    <>
      <circle cx="12" cy="12" r="8.5" />
      <path d="M12 8.2a2.2 2.2 0 0 1 1 4.1V17h-2v-4.700a2.2 2.2 0 0 1 1-4.100z" />
    </>
  ),
  ballast: <path d="M2 12h3l1.5-4 3 8 3-8 3 8 3-8 1.5 4h2" />,
  coil: (
    <>
      <path d="M7 8h10v12H7zM9 8V5h6v3M11 5V2h2v3" />
      <path d="M7 11.500h10M7 14.500h10M7 17.500h10" />
    </>
  ),
  points: (
    <>
      <path d="M2 17h8M10 17v-3M22 8 12 13" />
      <path d="M8.5 13.500h4M14 21l4-4 4 4z" />
    </>
  ),
  condenser: <path d="M2 12h7M9 6v12M15 6v12M15 12h7" />,
  earth: <path d="M12 3v9M5 12h14M8 16h8M10.5 20h3" />,
  lead: <path d="M3 5v5c0 3 2 4 5 4h8c3 0 5 1 5 4v2M1 5h4M19 20h4" />,
  cap: (
    <>
      <path d="M4 20v-6a8 8 0 0 1 16 0v6zM4 17h16" />
      <path d="M12 6V2M7 7.5 5.5 4M17 7.5 18.5 4" />
    </>
  ),
  rotor: (
    <>
      <circle cx="9" cy="14" r="5" />
      <circle cx="9" cy="14" r="1.5" />
      <path d="M12.5 10.5 20 4" />
    </>
  ),
  flywheel: (
    <>
      <circle cx="12" cy="12" r="9" />
      <circle cx="12" cy="12" r="2.5" />
      <path d="M12 3v3M12 18v3M12 9.500v-1.500h1" />
      <path d="M5.6 5.6 8 8M16 16l2.4 2.4" />
    </>
  ),
  winding: <path d="M2 18h3c0-7 4-7 4 0 0-7 4-7 4 0 0-7 4-7 4 0h5M4 21.500h16" />,
  connector: <path d="M1 12h5M6 8v8h4l2-2v-4l-2-2zM23 12h-5M14 9.500h4v5h-4" />,
  pack: (
    <>
      <path d="M3 6h18v11H3zM6 17v4M10 17v4M14 17v4M18 17v4" />
      <path d="M7 11.500h3.500M10.5 9v5M13.5 9v5M13.5 11.500H17" />
    </>
  ),
  sensor: (
    <>
      <path d="M6 3v12a3 3 0 0 0 3 3h6a3 3 0 0 0 3-3V3M10 3v9h4V3" />
      <path d="M2 7.500h20" strokeDasharray="2 2" />
    </>
  ),
  disc: (
    <>
      <circle cx="12" cy="12" r="9" />
      <circle cx="12" cy="12" r="1.5" />
      <path d="M12 4.500v3M12 16.500v3M4.5 12h3M16.5 12h3M6.7 6.700l2.1 2.100M15.2 15.200l2.1 2.1" />
    </>
  ),
  gear: (
    <>
      <circle cx="12" cy="12" r="6" />
      <circle cx="12" cy="12" r="2" />
      <path d="M12 2v4M12 18v4M2 12h4M18 12h4M5 5l2.8 2.800M16.2 16.2 19 19M19 5l-2.8 2.800M7.8 16.2 5 19" />
    </>
  ),
  spring: <path d="M2 12h2l2-6 3 12 3-12 3 12 3-12 2 6h2" />,
  relay: (
    <>
      <path d="M3 4h18v16H3z" />
      <path d="M7 16v-5h3v5M14 16l4-5M14 16v1.500M18 11V8" />
    </>
  ),
  box: (
    <>
      <path d="M3 7h18v11H3z" />
      <path d="M1 12.500h2M21 12.500h2M9 11a3 3 0 1 1 3.5 3v1.500M12.5 17v.1" />
    </>
  ),
  stop: (
    <>
      <path d="M8.5 3h7L21 8.500v7L15.5 21h-7L3 15.500v-7z" />
      <path d="M8 12h8" />
    </>
  ),
  piston: (
    <>
      <path d="M3 2v20M21 2v20M6 9h12v6H6zM6 11.500h12" />
      <path d="M12 15v7" />
    </>
  ),
  valve: (
    <>
      <path d="M12 2v12M12 14c-1 3-4 4-7 4h14c-3 0-6-1-7-4z" />
      <path d="M9.500 4.500h5M9.500 7h5M2 18h3M19 18h3" />
    </>
  ),
  tank: (
    <>
      <path d="M4 8h16l1.5 4v7h-19v-7zM9 8V5h6v3" />
      <path d="M4 15c2.7-1.5 5.3 1.5 8 0s5.3-1.5 8 0" />
    </>
  ),
  tap: <path d="M2 14h6M16 14h6M8 10h8v8H8zM12 10V5M7 5h10" />,
  hose: <path d="M2 7h5c4 0 4 10 8 10h7M2 11h3.500c3.5 0 3.5 10 7.5 10h9" />,
  bulb: <path d="M1 12h4M19 12h4M5 12c0-4 3-6 7-6s7 2 7 6-3 6-7 6-7-2-7-6zM9 9.500v5M12 9v6M15 9.500v5" />,
  filter: (
    <>
      <path d="M1 12h5M18 12h5M6 6h12v12H6z" />
      <path d="M9 6v12M12 6v12M15 6v12" strokeDasharray="2 2" />
    </>
  ),
  pump: (
    <>
      <path d="M5 9h14l-2 7H7zM9 9V4M15 9V4M12 16v5M9 21h6" />
      <path d="M6 12.500c2 1.5 10 1.5 12 0" />
    </>
  ),
  float: (
    <>
      <path d="M3 6v13h18V6" />
      <path d="M6 12h9v4H6zM15 13l4-5M19 8V3M5 10h2" />
    </>
  ),
  jet: <path d="M8 3h8v5h-2v5l2 3v5H8v-5l2-3V8H8zM12 3v18" />,
  choke: (
    <>
      <path d="M5 3v18M19 3v18" />
      <path d="M6.5 8l11 8" strokeWidth="2.4" />
      <circle cx="12" cy="12" r="1.3" />
    </>
  ),
  plug: <path d="M10 2h4v5h-4zM8.5 7h7v4h-7zM9.5 11h5v6h-5zM12 17v2M9.5 17v4.500h3" />,
};

export function Picture({ name, className = 'size-7' }: { name: string; className?: string }) {
  return (
    <svg
      aria-hidden
      viewBox="0 0 24 24"
      className={className}
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {DRAWINGS[name] ?? <circle cx="12" cy="12" r="6" />}
    </svg>
  );
}
