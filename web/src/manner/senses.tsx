import { Eye, Stud, Wheel } from './bits.tsx';

const Ear = () => (
  <path d="M14 68C12 58 6 54 6 40a17 17 0 0 1 34 0c0 11-9 13-10 21-1 9-10 13-16 7M14 42a9 9 0 0 1 18-2c0 7-7 7-8 14" />
);
const Key = () => (
  <path d="M18 52a7 7 0 1 0 0 14a7 7 0 1 0 0-14M25 59h22v7M40 59v6M34 44a17 17 0 0 0-27 2m21-8l6 6-7 3" />
);
const Lamp = () => <path d="M10 62l14-14 10 10-14 14zM30 44l10 10M46 40l10-6M46 50h12M42 34l4-10" />;

/** What eye, ear and hand do. */
export const SENSES = {
  'watched cranking': (
    <>
      <Eye x={30} y={18} />
      <Key />
      <Wheel x={86} y={46} />
    </>
  ),
  'watched running': (
    <>
      <Ear />
      <Wheel x={88} y={48} r={16} />
      <path d="M52 34q5 6 0 12M60 28q9 12 0 24" />
    </>
  ),
  'taken apart': (
    <>
      <Eye x={26} y={24} />
      <path d="M64 60h44v14H64z" />
      <path d="M68 34h36l-4 12H72z" strokeDasharray="4 4" />
      <path d="M86 30V14m-6 6l6-6 6 6" />
      <path d="M40 34l20 24" strokeDasharray="2 5" />
    </>
  ),
  'looked at': (
    <>
      <Eye x={40} y={22} />
      <Lamp />
      <path d="M70 50C84 34 96 66 112 50" strokeWidth={5} />
      <Stud x={72} y={50} />
    </>
  ),
} as const;
