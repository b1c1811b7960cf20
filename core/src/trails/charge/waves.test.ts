import { figuresAt } from '../../machine/figures.ts';
import { describe, expect, it } from 'vitest';
import { CHARGED } from '../../__tests__/chargeMachines.ts';
import { house } from '../../__tests__/machines.ts';
import { Scene } from '../../machine/scene.ts';
import { chargerCan, solveTransient, type Charger, type Element } from '../../network/index.ts';
import { measure } from '../../network/transient/measure.ts';
import type { MachineBody } from '../../schema/machine.ts';
import { drawSound } from '../../tracing/draw.ts';
import { buildModel } from '../../tracing/model.ts';
import { DIODE_OPEN, DIODE_SHORTED, LEG_GONE, shareToCore, SOUND_RIPPLE, TWO_OPEN } from './harmed.ts';
import { engineRpm, makingOf, SOURCE } from './making.ts';
import { chargerAt } from './parts/source.ts';
import { POLE_PAIRS, rectifier, tie, windings, type Harmed } from './waves.ts';
import { RUNNING } from '../../machine/state.ts';

const FLOATING = 13.2;
const BATTERY_OHMS = 0.022;
type Speed = 'idle' | 'fast';

function machineOf(name: string) {
  const { machine, params } = (() => {
    const model = buildModel(CHARGED[name] as MachineBody, house);
    return new Scene(
      model.machine,
      drawSound(model, () => 0.5),
    );
  })();
  const { fit } = machine;
  const context = { id: SOURCE, nodes: machine.partById.get(SOURCE)!.nodes, fit, state: RUNNING };
  const at = (speed: Speed): { e: Charger; hertz: number } => {
    const rpm = engineRpm(fit, speed);
    return {
      e: { ...chargerAt(figuresAt(params, SOURCE), context, rpm), a: 'out', b: '0' },
      hertz: (rpm / 60) * makingOf(fit.charge!.kind, fit).ratio * POLE_PAIRS,
    };
  };
  return { fit, at };
}

/** Mean amperes into a battery, and what rides on them, effective over mean. */
function run({ e, hertz }: { e: Charger; hertz: number }, harmed: Harmed = {}) {
  const single = e.winding === 'single';
  const back = single ? 'leg2' : 'star';
  const elements: Element[] = [
    ...windings(e, hertz, back, harmed),
    ...rectifier(e, single ? ['leg1', 'leg2'] : ['leg1', 'leg2', 'leg3'], 'out', '0', harmed),
    tie(e, back, '0'),
    { type: 'resistor', id: 'inside', a: 'out', b: 'emf', ohms: BATTERY_OHMS },
    { type: 'voltage', id: 'battery', a: 'emf', b: '0', volts: FLOATING },
  ];
  const until = 20 / hertz;
  const solved = solveTransient({ elements, couplings: [] }, { until, fromInitial: true, longest: 1 / (200 * hertz) });
  if (!solved.ok) throw new Error(solved.code);
  const { mean, effective } = measure({ at: solved.at, values: solved.amps('battery') }, 14 / hertz, until);
  return { mean, ripple: Math.sqrt(Math.max(0, effective ** 2 - mean ** 2)) / mean };
}

describe('a machine that charges, wave by wave', () => {
  it('sound, rides as a bridge of six does in every textbook: 4.2 % of the mean', () => {
    const { ripple } = run(machineOf('alternator with a lamp').at('fast'));
    expect(ripple).toBeCloseTo(0.042, 3);
    expect(SOUND_RIPPLE).toBeCloseTo(ripple, 3);
  });
  it('sound, gives what its average says, within 8 % idling and 5 % fast', () => {
    for (const name of ['alternator with a lamp', 'three phases under a flywheel', 'one phase, both halves'])
      for (const [speed, within] of [
        ['idle', 0.08],
        ['fast', 0.05],
      ] as const) {
        const machine = machineOf(name).at(speed);
        const volts = FLOATING + BATTERY_OHMS * run(machine).mean;
        expect(Math.abs(chargerCan(machine.e, volts).amps / run(machine).mean - 1), `${name} ${speed}`).toBeLessThan(
          within,
        );
      }
  });
  it('two diodes open lose half of it idling and ride twice as high; with three nothing reaches the battery', () => {
    for (const name of ['alternator with a lamp', 'three phases under a flywheel']) {
      const machine = machineOf(name);
      for (const speed of ['idle', 'fast'] as const) {
        const [well, two] = [run(machine.at(speed)), run(machine.at(speed), { diode: 'open', open: 2 })];
        expect(Math.abs(two.mean / well.mean - TWO_OPEN.share[speed]), `${name} ${speed} share`).toBeLessThan(0.1);
        expect(Math.abs(two.ripple / TWO_OPEN.ripple[speed] - 1), `${name} ${speed} ripple`).toBeLessThan(0.1);
        expect(run(machine.at(speed), { diode: 'open', open: 3 }).mean).toBeCloseTo(0, 3);
      }
    }
  });
  it.each([
    ['a leg open', { openLeg: true }, LEG_GONE],
    ['a diode open', { diode: 'open' }, DIODE_OPEN],
    ['a diode shorted', { diode: 'shorted' }, DIODE_SHORTED],
  ] as const)('%s: share and ripple are those that tracing counts with', (_name, harmed, kept) => {
    for (const name of ['alternator with a lamp', 'three phases under a flywheel']) {
      const machine = machineOf(name);
      for (const speed of ['idle', 'fast'] as const) {
        const [well, ill] = [run(machine.at(speed)), run(machine.at(speed), harmed)];
        expect(Math.abs(ill.mean / well.mean - kept.share[speed]), `${name} ${speed} share`).toBeLessThan(0.07);
        expect(Math.abs(ill.ripple / kept.ripple - 1), `${name} ${speed} ripple`).toBeLessThan(0.15);
      }
    }
  });
  it.each(['three phases under a flywheel', 'one phase, both halves'])('%s: a leg to its core', (name) => {
    const machine = machineOf(name);
    const well = run(machine.at('fast')).mean;
    for (const coreOhms of [0.3, 1, 3, 10, 100]) {
      const left = run(machine.at('fast'), { coreOhms }).mean / well;
      expect(Math.abs(left - shareToCore(coreOhms, machine.fit)), `${coreOhms} Ω: ${left}`).toBeLessThan(0.12);
    }
  });
});
