import { describe, expect, it } from 'vitest';
import { solveOperatingPoint, solveTransient, valueAt, type Element } from '../network/index.ts';
import {
  airVessel,
  ATMOSPHERE,
  headPascals,
  leakDown,
  leakDownSeconds,
  NO_LEAK,
  openVessel,
  PETROL_DENSITY,
  recoverAfter,
  starve,
  type GravityFeed,
  type VacuumLine,
} from './index.ts';

const line: VacuumLine = {
  cubicMetres: 250e-6,
  kelvin: 293,
  vacuumPascals: 60e3,
  holeSquareMetres: 0,
  seepOhms: 60 / airVessel(250e-6, 293),
};

describe('leak-down of a vacuum line', () => {
  it('through seeping joints is p₀·e^(−t/τ), τ = R·C', () => {
    const at = [10, 30, 60, 120];
    leakDown(line, at).forEach((p, i) => expect(p / (60e3 * Math.exp(-at[i]! / 60))).toBeCloseTo(1, 2));
  });
  it('gives its τ back from two readings', () => {
    const [a, b] = leakDown(line, [10, 40]) as [number, number];
    expect(leakDownSeconds(a, b, 30)).toBeCloseTo(60, 0);
    expect(leakDownSeconds(50e3, 50e3, 30)).toBe(Infinity);
  });
  it('through a hole is a straight line while it is choked: dp/dt = C_d·A·p₀·0.685·√(RT)/V', () => {
    const hole = { ...line, seepOhms: 1e15, holeSquareMetres: 0.02e-6, vacuumPascals: 90e3 };
    const rate = (0.65 * 0.02e-6 * ATMOSPHERE * 0.6847 * Math.sqrt(287 * 293)) / 250e-6;
    // Choked up to 0.528 of the outside: the first 42 kPa of its rise.
    const [a, b] = leakDown(hole, [2, 2 + 20e3 / rate]) as [number, number];
    expect(a - b).toBeCloseTo(20e3, -2.3);
  });
  it('settles at the outside and does not go beyond', () => {
    const end = leakDown({ ...line, holeSquareMetres: 2e-6 }, [600])[0]!;
    expect(Math.abs(end)).toBeLessThan(20);
  });
});

const feed: GravityFeed = {
  tankCubicMetres: 20e-3,
  fuelCubicMetres: 17e-3,
  headMetres: 0.3,
  pathSquareMetres: 1.5e-6,
  demand: 1.2e-6,
  ventSquareMetres: 0,
  bowlCubicMetres: 60e-6,
};

describe('a sealed tank starves the flow', () => {
  /** The same tank stepped by hand: isothermal air, the orifice law, the bowl making up what is missing. */
  function byHand(): { shortAfter: number; stallAfter: number } {
    let [volume, stock, t, shortAfter] = [
      feed.tankCubicMetres - feed.fuelCubicMetres,
      feed.bowlCubicMetres,
      0,
      Infinity,
    ];
    const rest = ATMOSPHERE * volume;
    const h = 0.01;
    for (; stock > 0 && t < 3600; t += h) {
      const pressure = rest / volume + headPascals(feed.headMetres) - ATMOSPHERE;
      const most = pressure > 0 ? 0.7 * feed.pathSquareMetres * Math.sqrt((2 * pressure) / PETROL_DENSITY) : 0;
      const flow = Math.min(most, feed.demand);
      if (flow < feed.demand) shortAfter = Math.min(shortAfter, t);
      volume += flow * h;
      stock -= (feed.demand - flow) * h;
    }
    return { shortAfter, stallAfter: t };
  }
  it('runs short and stalls when a hand-stepped tank does, within 2 %', () => {
    const [ours, hand] = [starve(feed, 600), byHand()];
    expect(hand.stallAfter).toBeLessThan(600);
    expect(ours.shortAfter / hand.shortAfter).toBeCloseTo(1, 1.7);
    expect(ours.stallAfter / hand.stallAfter).toBeCloseTo(1, 1.7);
    // By then the vacuum has eaten the head.
    expect(ours.tankVacuum / headPascals(feed.headMetres)).toBeGreaterThan(0.5);
    expect(ours.tankVacuum / headPascals(feed.headMetres)).toBeLessThan(1.05);
  });
  it('does not with its vent open, and a fuller tank starves sooner', () => {
    expect(starve({ ...feed, ventSquareMetres: 1e-6 }, 600)).toMatchObject({
      shortAfter: Infinity,
      stallAfter: Infinity,
    });
    expect(starve({ ...feed, fuelCubicMetres: 19e-3 }, 600).stallAfter).toBeLessThan(starve(feed, 600).stallAfter);
  });
  it('takes longer where the air is thin: the same vacuum asks for more room, by Boyle', () => {
    // To lose the head h the air must grow by V·h/(p − h), and the fuel that makes that room is drunk in so long.
    const room = (p: number) => {
      const h = headPascals(feed.headMetres);
      return ((feed.tankCubicMetres - feed.fuelCubicMetres) * h) / (p - h);
    };
    const high = starve({ ...feed, outsidePascals: 70_100 }, 900);
    const [gained, wanted] = [high.shortAfter / starve(feed, 900).shortAfter, room(70_100) / room(ATMOSPHERE)];
    expect(gained / wanted).toBeCloseTo(1, 1.7);
  });
  it('recovers in a moment when the cap is opened', () => {
    const { tankVacuum } = starve(feed, 600);
    expect(recoverAfter(feed, tankVacuum, 100e-6)).toBeLessThan(1);
    expect(recoverAfter(feed, tankVacuum, 0)).toBe(Infinity);
  });
});

describe('vessels and valves', () => {
  it('an open vessel drains through a hole in Torricelli’s time, 2·A·√h / (C_d·a·√(2g))', () => {
    const [area, hole, height] = [0.01, 5e-6, 0.2];
    const emptyAfter = (2 * area * Math.sqrt(height)) / (0.65 * hole * Math.sqrt(2 * 9.80665));
    const run = solveTransient(
      {
        couplings: [],
        leak: NO_LEAK,
        elements: [
          {
            type: 'capacitor',
            id: 'v',
            a: 'floor',
            b: '0',
            farads: openVessel(area),
            initialVolts: headPascals(height),
          },
          {
            type: 'orifice',
            id: 'o',
            a: 'floor',
            b: '0',
            squareMetres: hole,
            discharge: 0.65,
            density: PETROL_DENSITY,
          },
        ],
      },
      { until: emptyAfter, fromInitial: true },
    );
    if (!run.ok) throw new Error(run.code);
    // √h falls evenly: after half the time a quarter of the height is left.
    expect(valueAt({ at: run.at, values: run.volts('floor') }, emptyAfter / 2) / headPascals(height)).toBeCloseTo(
      0.25,
      2,
    );
  });
  const valve = (crackPascals: number, fullPascals: number): Element => ({
    type: 'spring-valve',
    id: 'valve',
    a: 'pump',
    b: '0',
    squareMetres: 3e-6,
    discharge: 0.7,
    density: PETROL_DENSITY,
    crackPascals,
    fullPascals,
    leakShare: 1e-4,
  });
  const pumped = (litresAnHour: number, element: Element) => {
    const at = solveOperatingPoint(
      [{ type: 'current', id: 'pump', a: '0', b: 'pump', amps: litresAnHour / 3.6e6 }, element],
      NO_LEAK,
    );
    if (!at.ok) throw new Error(at.code);
    return at;
  };
  it('a relief valve holds the pressure between cracking and wide open', () => {
    const [little, much] = [pumped(2, valve(20e3, 35e3)), pumped(60, valve(20e3, 35e3))];
    expect(little.volts('pump')).toBeGreaterThan(20e3);
    expect(much.volts('pump')).toBeLessThan(36e3);
    expect(much.volts('pump')).toBeGreaterThan(little.volts('pump'));
    expect(much.amps('valve')).toBeCloseTo(60 / 3.6e6, 9);
  });
  it('a check valve passes one way and holds the other, but for its leak', () => {
    const check = valve(500, 1500);
    const back = solveOperatingPoint([{ type: 'voltage', id: 'p', a: '0', b: 'pump', volts: 20e3 }, check], NO_LEAK);
    if (!back.ok) throw new Error(back.code);
    const open = 0.7 * 3e-6 * Math.sqrt((2 * 20e3) / PETROL_DENSITY);
    expect(back.amps('valve') / open).toBeCloseTo(-1e-4, 6);
  });
});
