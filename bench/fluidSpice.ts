import { solveOperatingPoint, solveTransient, valueAt, type Circuit, type Element } from '@pondu/core';
import { ngspice } from './ngspice.ts';

/** ngspice's own leaks across junctions, at which a cubic millimetre an hour still tells. Siemens. */
const GMIN = 1e-22;
const ATMOSPHERE = 101_325;
const PETROL = 740;
const NO_LEAK = 1e-30;

/** √ has no slope at nothing: ngspice is given one over a millionth of a pascal. */
const rooted = (k: number, a: string, b: string) => `I=${k}*sgn(V(${a},${b}))*sqrt(abs(V(${a},${b}))+1e-6)`;
const orificeFactor = (squareMetres: number) => 0.7 * squareMetres * Math.sqrt(2 / PETROL);

interface Compared {
  readonly label: string;
  /** Largest difference, as a share. */
  readonly share: number;
  readonly at: string;
}
const worst = (label: string, pairs: readonly (readonly [string, number, number])[]): Compared =>
  pairs.reduce<Compared>(
    (found, [at, mine, theirs]) => {
      const share = Math.abs(mine - theirs) / Math.max(Math.abs(theirs), 1e-12);
      return share > found.share ? { label, share, at: `${at}: ${mine} against ${theirs}` } : found;
    },
    { label, share: 0, at: '' },
  );

/** A pump that weakens as it gives, lifting fuel through tap, hose, filter and needle: pressures at each. */
function feed(): Compared {
  const holes = [4.2e-6, 5e-6, 3.6e-6, 2.4e-6];
  const nodes = ['pump', 'n1', 'n2', 'n3', '0'];
  const elements: Element[] = [
    { type: 'voltage', id: 'head', a: 'lifted', b: '0', volts: 22e3 },
    { type: 'resistor', id: 'gives', a: 'lifted', b: 'pump', ohms: 3e8 },
    ...holes.map((squareMetres, i): Element => ({
      type: 'orifice',
      id: `o${i}`,
      a: nodes[i]!,
      b: nodes[i + 1]!,
      squareMetres,
      discharge: 0.7,
      density: PETROL,
    })),
  ];
  const own = solveOperatingPoint(elements, NO_LEAK);
  if (!own.ok) throw new Error(own.code);
  const cards = holes.map(
    (a, i) => `b${i} ${nodes[i]} ${nodes[i + 1]} ${rooted(orificeFactor(a), nodes[i]!, nodes[i + 1]!)}`,
  );
  const text = ['feed', 'vhead lifted 0 22000', 'rgives lifted pump 300meg', ...cards, '.op', '.end'].join('\n');
  const { columns } = ngspice(text, { gmin: GMIN });
  return worst(
    'fluid: pump, tap, hose, filter and needle',
    nodes.slice(0, -1).map((n) => [n, own.volts(n), columns.get(`v(${n})`)![0]!] as const),
  );
}

const TIMES = [2, 5, 10, 20, 40];
function over(label: string, circuit: Circuit, node: string, text: string, until: number): Compared {
  const own = solveTransient(circuit, { until, fromInitial: true });
  if (!own.ok) throw new Error(own.code);
  const { columns } = ngspice(text, { gmin: GMIN });
  const [time, theirs] = [columns.get('time')!, columns.get(`v(${node})`)!];
  const at = TIMES.map((t) => (t / 40) * until);
  return worst(
    label,
    at.map(
      (t) =>
        [
          `${t} s`,
          valueAt({ at: own.at, values: own.volts(node) }, t),
          valueAt({ at: time, values: theirs }, t),
        ] as const,
    ),
  );
}

/** A vacuum reservoir that a hole fills again: choked, then not. */
function reservoir(): Compared {
  const farads = 250e-6 / (287 * 293);
  const [hole, from] = [0.03e-6, ATMOSPHERE - 80e3];
  const k = (0.65 * hole * ATMOSPHERE) / Math.sqrt(287 * 293);
  const ratio = `min(V(space)/${ATMOSPHERE},0.9999)`;
  const text = [
    'reservoir',
    `vout outside 0 ${ATMOSPHERE}`,
    `cspace space 0 ${farads} IC=${from}`,
    `bhole outside space I=${k}*(${ratio}<0.52828?0.684731:sqrt(7*(${ratio}**1.4285714-${ratio}**1.7142857)))`,
    '.tran 0.01 20 0 0.01 uic',
    '.end',
  ].join('\n');
  const circuit: Circuit = {
    couplings: [],
    leak: NO_LEAK,
    elements: [
      { type: 'voltage', id: 'out', a: 'outside', b: '0', volts: ATMOSPHERE },
      { type: 'capacitor', id: 'space', a: 'space', b: '0', farads, initialVolts: from },
      { type: 'gas-orifice', id: 'hole', a: 'outside', b: 'space', squareMetres: hole, discharge: 0.65, kelvin: 293 },
    ],
  };
  return over('fluid: a vacuum reservoir that leaks', circuit, 'space', text, 20);
}

/** A shut tank that empties by its own weight until its vacuum holds the fuel: p·V stays, ngspice integrates V. */
function shutTank(): Compared {
  const [volume, head, path] = [4e-3, 2600, 1.8e-6];
  const text = [
    'tank',
    `vout outside 0 ${ATMOSPHERE}`,
    // One farad takes the volume, in litres, as its volts.
    `cvol vol 0 1 IC=${volume * 1e3}`,
    `bspace space 0 V=${ATMOSPHERE * volume * 1e3}/V(vol)`,
    `vhead tap space ${head}`,
    `bpath tap outside ${rooted(orificeFactor(path), 'tap', 'outside')}`,
    `bvol 0 vol I=1000*${orificeFactor(path)}*sgn(V(tap,outside))*sqrt(abs(V(tap,outside))+1e-6)`,
    '.tran 0.05 40 0 0.05 uic',
    '.end',
  ].join('\n');
  const circuit: Circuit = {
    couplings: [],
    leak: NO_LEAK,
    elements: [
      { type: 'voltage', id: 'out', a: 'outside', b: '0', volts: ATMOSPHERE },
      {
        type: 'gas-space',
        id: 'space',
        a: 'space',
        b: '0',
        cubicMetres: volume,
        restPascals: ATMOSPHERE,
        exponent: 1,
        initialVolts: ATMOSPHERE,
      },
      { type: 'voltage', id: 'head', a: 'tap', b: 'space', volts: head },
      { type: 'orifice', id: 'path', a: 'tap', b: 'outside', squareMetres: path, discharge: 0.7, density: PETROL },
    ],
  };
  return over('fluid: a shut tank that empties', circuit, 'space', text, 40);
}

/** Three fluid networks beside their electrical analogues. */
export const fluidNetworks = (): Compared[] => [feed(), reservoir(), shutTank()];
