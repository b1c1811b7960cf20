import { measure, solveTransient, type Circuit, type Element, type Transient } from '../network/index.ts';
import { coilElements, type CoilCircuit } from './coilCircuit.ts';
import { columnOf } from './firing.ts';
import { ohmsAt } from './winding.ts';

/** Capacitor discharge fed by a charge coil. SI. */
export interface CapacitorDischarge extends CoilCircuit {
  /** Open-circuit peak of the charge coil for each rev/min, its pole pairs, its winding. */
  voltsPerRpm: number;
  polePairs: number;
  chargeOhms: number;
  chargeHenries: number;
  celsius: number;
  /** What lies across the charge coil: iron, insulation, a stop circuit that is not quite open. */
  chargeShuntOhms: number;
  storeFarads: number;
  storeLeakOhms: number;
  /** Of the thyristor, when it carries. */
  thyristorOhms: number;
  firingsPerTurn: number;
}

/** Firings that are run: by the last the store has found its level. */
const FIRINGS = 3;
/** Off load the store has as long as the starter is held: so many turns of firing. */
const OFF_LOAD_PERIODS = 30;
/** The store is dumped in the charge coil's idle half swing, this far into it. */
const DUMP_PHASE = 0.1;

/** Period between firings, made whole swings of the charge coil, seconds. */
function firingPeriod(c: CapacitorDischarge, rpm: number): { period: number; swing: number } {
  const swing = 60 / (rpm * c.polePairs);
  return { period: Math.max(1, Math.round(c.polePairs / c.firingsPerTurn)) * swing, swing };
}

/** The whole unit for a few firings at a speed; `firing` false leaves the trigger unplugged. Nodes: `gen`, `cap`, `coil`, `sec`. */
export function dischargeCircuit(
  c: CapacitorDischarge,
  rpm: number,
  firing = true,
): { circuit: Circuit; until: number; firstDump: number; dumpsAt: number } {
  const { period, swing } = firingPeriod(c, rpm);
  const until = (firing ? FIRINGS : OFF_LOAD_PERIODS) * period;
  const firstDump = period - (1 - DUMP_PHASE) * swing * 0.5;
  const diode = { type: 'diode', saturationAmps: 1e-9, emission: 2, seriesOhms: 0.1 } as const;
  const coil = coilElements(c, 'coil', '0');
  const dump: Element[] = firing
    ? [
        {
          type: 'voltage',
          id: 'trigger',
          a: 'trg',
          b: '0',
          volts: 0,
          wave: {
            kind: 'pulse',
            low: 0,
            high: 5,
            delay: firstDump,
            rise: 1e-6,
            fall: 1e-6,
            width: swing * 0.15,
            period,
          },
        },
        {
          type: 'switch',
          id: 'thyristor',
          a: 'cap',
          b: 'scr',
          closed: false,
          onOhms: c.thyristorOhms,
          offOhms: 1e8,
          control: { a: 'trg', b: '0', closesAt: 2.6, opensAt: 2.4 },
        },
        { ...diode, id: 'oneway', a: 'scr', b: 'coil' },
        ...coil.elements,
      ]
    : [];
  return {
    until,
    firstDump,
    /** The last of them: by then the store has found its level. */
    dumpsAt: firstDump + (FIRINGS - 1) * period,
    circuit: {
      couplings: firing ? [coil.coupling] : [],
      elements: [
        {
          type: 'voltage',
          id: 'emf',
          a: 'emf',
          b: '0',
          volts: 0,
          wave: { kind: 'sine', offset: 0, amplitude: c.voltsPerRpm * rpm, hertz: 1 / swing, delay: 0, damping: 0 },
        },
        { type: 'resistor', id: 'rg', a: 'emf', b: 'lg', ohms: ohmsAt(c.chargeOhms, c.celsius) },
        { type: 'inductor', id: 'lg', a: 'lg', b: 'gen', henries: c.chargeHenries, initialAmps: 0 },
        { type: 'resistor', id: 'shuntg', a: 'gen', b: '0', ohms: c.chargeShuntOhms },
        { ...diode, id: 'rectifier', a: 'gen', b: 'cap' },
        { type: 'capacitor', id: 'store', a: 'cap', b: '0', farads: c.storeFarads, initialVolts: 0 },
        { type: 'resistor', id: 'leak', a: 'cap', b: '0', ohms: c.storeLeakOhms },
        // Keeps the coil's swing from charging the store backwards.
        { ...diode, id: 'clamp', a: '0', b: 'cap' },
        ...dump,
      ],
    },
  };
}

export interface Discharged {
  /** In the store at its fullest. */
  storeVolts: number;
  /** Across the coil's primary, at its peak. */
  primaryVolts: number;
  secondaryVolts: number;
  run: Transient;
}

/** A few firings at a speed. The figures are those of the last. */
export function discharge(c: CapacitorDischarge, rpm: number): Discharged {
  const { circuit, until } = dischargeCircuit(c, rpm);
  const run = solveTransient(circuit, { until, fromInitial: true });
  if (!run.ok) throw new RangeError(`A discharge does not solve: ${run.code}`);
  const from = until * (1 - 1 / FIRINGS);
  return {
    storeVolts: measure(columnOf(run, 'cap'), from, until).max,
    primaryVolts: measure(columnOf(run, 'coil'), from, until).peak,
    secondaryVolts: measure(columnOf(run, 'sec'), from, until).peak,
    run,
  };
}

/** What the store reaches with the trigger unplugged: nothing takes its charge but its leak. Volts. */
export function offLoadVolts(c: CapacitorDischarge, rpm: number): number {
  const { circuit, until } = dischargeCircuit(c, rpm, false);
  const run = solveTransient(circuit, { until, fromInitial: true });
  if (!run.ok) throw new RangeError(`A charge coil does not solve: ${run.code}`);
  return measure(columnOf(run, 'cap'), until * 0.9, until).mean;
}
