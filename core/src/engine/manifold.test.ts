import { describe, expect, it } from 'vitest';
import { airTaken, airThrough, idleHole, idling, pressureAtSpeed, psi } from './manifold.ts';

describe('air through a hole', () => {
  it('is choked below 0.528, where the flow function is 0.685, and nothing at equal pressures', () => {
    expect(psi(0.3)).toBeCloseTo(0.6847, 3);
    expect(psi(0.528)).toBeCloseTo(psi(0.1), 4);
    expect(psi(1)).toBe(0);
    // √(7·(0.8^1.4286 − 0.8^1.7143)), by hand.
    expect(psi(0.8)).toBeCloseTo(Math.sqrt(7 * (0.72699 - 0.68215)), 3);
  });
  it('a millimetre square from the air outside, choked: 0.156 g/s with a coefficient of 0.65', () => {
    expect(airThrough(1e-6, 30e3) * 1e3).toBeCloseTo((0.65 * 1e-6 * 101325 * 0.6847 * 1e3) / Math.sqrt(287 * 293), 4);
  });
});

describe('an engine that idles', () => {
  const hole = idleHole(1.6, 850);
  const vacuum = (i: { pascals: number }, outside = 101_325) => (outside - i.pascals) / 1e3;
  it('turns as it was set, with 50 to 70 kPa on the gauge at sea level', () => {
    const sound = idling(1.6, hole, 1);
    expect(sound.rpm).toBeCloseTo(850, 6);
    expect(vacuum(sound)).toBeGreaterThan(50);
    expect(vacuum(sound)).toBeLessThan(70);
  });
  it('shows about 3.4 kPa less for each 300 m of altitude', () => {
    const outside = 101_325 * (1 - 2.25577e-5 * 300) ** 5.25588;
    const less = vacuum(idling(1.6, hole, 1)) - vacuum(idling(1.6, hole, 1, outside), outside);
    expect(less).toBeGreaterThan(2.2);
    expect(less).toBeLessThan(4);
  });
  it('takes what the hole lets through', () => {
    const { pascals, rpm } = idling(1.6, 1.4 * hole, 0.9);
    expect(airThrough(1.4 * hole, pascals) / airTaken(1.6, rpm, pascals)).toBeCloseTo(1, 9);
  });
  it('a leak that burns well speeds it up; a dead cylinder of four slows it and drops the gauge', () => {
    expect(idling(1.6, 1.5 * hole, 1).rpm).toBeGreaterThan(1200);
    const lame = idling(1.6, hole, 0.75);
    expect(lame.rpm).toBeLessThan(750);
    expect(vacuum(lame)).toBeLessThan(vacuum(idling(1.6, hole, 1)) - 6);
  });
  it('at the speed that its idle gives, the hole alone gives the same pressure', () => {
    const sound = idling(1.6, hole, 1);
    expect(pressureAtSpeed(1.6, hole, sound.rpm) / sound.pascals).toBeCloseTo(1, 6);
    expect(pressureAtSpeed(1.6, 2 * hole, sound.rpm)).toBeGreaterThan(1.5 * sound.pascals);
  });
  it('stalls when hardly any of its air does work', () => {
    expect(idling(1.6, hole, 0.1).rpm).toBe(0);
  });
});
