import { At, Lead, Metal, Meter, Plug, Sign, Stud, Tip } from './bits.tsx';

/** A test lamp, its tip down. */
const Lamp = () => (
  <At x={26} y={14}>
    <path d="M-9 0h18v24L3 34v8h-6v-8L-9 24z" />
    <circle r={5} cy={11} />
    <path d="M-20 4l6 3M-21 13h6M20 4l-6 3M21 13h-6" />
  </At>
);

/** Where leads go, instrument by instrument. */
export const LEADS = {
  'volts to earth': (
    <>
      <Meter x={8} y={8} reads="V" />
      <Stud x={98} y={16} />
      <Metal x={84} y={68} />
      <Lead d="M42 40C64 44 70 18 95 16" />
      <Tip x={97} y={16} />
      <Lead d="M42 48C60 56 74 60 96 66" other />
      <Tip x={97} y={67} />
    </>
  ),
  'volts along': (
    <>
      <Meter x={8} y={8} reads="V" />
      <Stud x={100} y={14} />
      <Stud x={100} y={70} />
      <path d="M100 21v42" strokeWidth={5} />
      <Lead d="M42 34C62 34 76 16 97 14" />
      <Tip x={99} y={14} />
      <Lead d="M42 44C62 48 74 68 97 70" other />
      <Tip x={99} y={70} />
    </>
  ),
  'ohms on the bench': (
    <>
      <Meter x={8} y={18} reads="Ω" />
      <path d="M58 78h58" />
      <rect x={68} y={46} width={42} height={32} rx={5} />
      <Stud x={76} y={39} />
      <Stud x={102} y={39} />
      <Lead d="M42 48C52 50 60 44 74 40" />
      <Tip x={76} y={39} />
      <Lead d="M42 34C56 10 102 8 102 36" other />
      <Tip x={102} y={39} />
    </>
  ),
  'ohms in place': (
    <>
      <Meter x={8} y={8} reads="Ω" />
      <path d="M64 22h14l4-8 6 16 6-16 6 16 4-8h10" />
      <Metal x={84} y={68} />
      <Lead d="M42 36C52 38 58 24 67 22" />
      <Tip x={68} y={22} />
      <Lead d="M42 46C60 56 74 60 96 66" other />
      <Tip x={97} y={67} />
    </>
  ),
  lamp: (
    <>
      <Lamp />
      <Stud x={26} y={62} />
      <Lead d="M26 14C40 2 60 12 66 34S84 62 96 66" other />
      <Metal x={84} y={68} />
      <Tip x={97} y={67} />
    </>
  ),
  spark: (
    <>
      <path d="M6 18C26 18 24 40 42 40" strokeWidth={5} />
      <rect x={42} y={30} width={46} height={20} rx={4} />
      <path d="M52 40h9l-3-5 8 10-3-5h9" />
      <Lead d="M88 40C104 40 96 60 100 66" other />
      <Metal x={86} y={68} />
      <Tip x={100} y={67} />
    </>
  ),
  capacitance: (
    <>
      <Meter x={8} y={8} reads="F" />
      <rect x={82} y={22} width={22} height={46} rx={6} />
      <path d="M93 22V8h14" />
      <Lead d="M42 36C62 38 80 2 105 8" />
      <Tip x={106} y={8} />
      <Lead d="M42 46C56 52 66 54 81 54" other />
      <Tip x={82} y={54} />
    </>
  ),
  peak: (
    <>
      <Meter x={6} y={8} reads="V" />
      <rect x={52} y={32} width={24} height={18} rx={3} />
      <path d="M55 46l6-9 4 9 6-9 3 6" />
      <path d="M40 38h12M40 44h12" />
      <rect x={92} y={12} width={18} height={20} rx={3} />
      <Lead d="M76 38C84 34 84 18 95 18" />
      <Tip x={96} y={18} />
      <Lead d="M76 44C88 44 86 28 95 26" other />
      <Tip x={96} y={26} />
      <path d="M110 22h10" />
    </>
  ),
  clamp: (
    <>
      <rect x={10} y={34} width={30} height={44} rx={5} />
      <Sign x={25} y={54}>
        A
      </Sign>
      <circle cx={25} cy={20} r={15} />
      <path d="M25 5v8" />
      <path d="M4 20h110" strokeWidth={5} />
      <path d="M96 34h14m-5-5l5 5-5 5" />
    </>
  ),
  'in series': (
    <>
      <rect x={62} y={40} width={50} height={36} rx={3} />
      <path d="M70 40v-8h8v8M96 40v-8h8v8M98 52h8M102 48v8M70 52h8" />
      <Meter x={6} y={8} reads="A" />
      <Lead d="M40 44C52 50 60 30 73 32" />
      <Tip x={74} y={31} />
      <Lead d="M40 34C56 34 60 12 74 10" other />
      <Tip x={75} y={10} />
      <path d="M75 10h37" strokeWidth={5} />
    </>
  ),
  feeler: (
    <>
      <path d="M58 12v22h-14M58 70V48h-14" />
      <circle cx={58} cy={36} r={3} fill="currentColor" />
      <circle cx={58} cy={46} r={3} fill="currentColor" />
      <path d="M8 41h48" strokeWidth={3.5} />
      <path d="M8 34h16v14H8z" />
      <Plug x={96} y={20} />
    </>
  ),
} as const;
