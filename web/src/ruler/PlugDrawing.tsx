import type { PlugLook } from '@pondu/core';

/** What lies on the nose: each look by its shape, so that none is told by colour alone. */
const ON_THE_NOSE: Readonly<Record<PlugLook, React.ReactNode>> = {
  dry: null,
  'wet or sooty': (
    <>
      <path d="M12 10h12v8H12z" fill="currentColor" />
      <path
        d="M9 27c0-2 1.500-3 1.500-4.500 0 1.500 1.500 2.500 1.500 4.500a1.500 1.500 0 0 1-3 0zM25 29c0-2 1.500-3 1.500-4.500 0 1.500 1.500 2.500 1.500 4.500a1.500 1.500 0 0 1-3 0z"
        fill="currentColor"
      />
    </>
  ),
  oily: <path d="M9 11c3-3 15-3 18 0 1 3-1 4-3 4s-2 5-4 5-2-3-4-3-2 4-4 3-4-6-3-9z" fill="currentColor" />,
  white: (
    <>
      <circle cx="14" cy="12" r="1" />
      <circle cx="18" cy="15" r="1.200" />
      <circle cx="22" cy="11.500" r="1" />
      <circle cx="20" cy="18" r="0.900" />
      <circle cx="15" cy="17" r="0.800" />
    </>
  ),
  'wide gap': <path d="M30 21v9M28 23l2-2 2 2M28 28l2 2 2-2" />,
  'narrow gap': <path d="M33 14v5M31 17l2 2 2-2M33 33v-5M31 30l2-2 2 2" />,
  bridged: <path d="M16 21h4v5h-4z" fill="currentColor" />,
  cracked: <path d="M17 9l3 3-4 2 3 3-3 2" />,
};

/** The firing end of a plug: shell, insulator, electrode and the strap over its gap. Our own drawing. */
export function PlugDrawing({ look }: { look: PlugLook }) {
  const gap = look === 'wide gap' ? 31 : look === 'narrow gap' ? 22 : 26;
  return (
    <svg aria-hidden viewBox="0 0 36 36" className="size-11" fill="none" stroke="currentColor" strokeWidth="1.500">
      <path d="M8 2v7h20V2M12 9l2 10h8l2-10" />
      <path d="M18 19v2.500" strokeWidth="3" />
      <path d={`M28 9v${gap - 9 + 1}H15`} />
      {ON_THE_NOSE[look]}
    </svg>
  );
}
