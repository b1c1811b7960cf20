import { describe, expect, it } from 'vitest';
import { EVERY_KIND } from '../__tests__/everyKind.ts';
import { house, machine } from '../__tests__/machines.ts';
import { solveOperatingPoint } from '../network/index.ts';
import { middleScene } from '../tracing/middle.ts';
import { buildModel } from '../tracing/model.ts';
import { drawingView, liveView } from '../views/drawing.ts';
import { drawingOf } from './drawing.ts';
import { leadsOf } from './leads.ts';
import { liveOf, stateOf, statesOf } from './live.ts';

const points = buildModel(machine({ cylinders: 6 }), house);

describe.each(EVERY_KIND)('%s', (_name, body) => {
  const model = buildModel(body, house);
  const { machine: built } = model;
  const drawing = drawingOf(built);

  it('each part that is wired stands in it once, and each of its ends is a wire or an earth', () => {
    const ids = drawing.parts.map((p) => p.id);
    expect(new Set(ids).size).toBe(ids.length);
    const inCircuit = built.parts.filter((p) => !p.apart && p.kind.symbol !== 'none').map((p) => p.id);
    expect(inCircuit.filter((id) => !ids.includes(id))).toEqual([]);
    const ends = new Map<string, number>();
    for (const { from, to } of drawing.wires)
      for (const { of, port } of [from, to])
        if (port !== undefined) ends.set(`${of}#${port}`, (ends.get(`${of}#${port}`) ?? 0) + 1);
    for (const part of drawing.parts)
      for (const { name, earthed } of part.ports)
        expect(ends.get(`${part.id}#${name}`) ?? 0, `${part.id} ${name}`).toBe(earthed ? 0 : 1);
  });
  it('wires join what lies on one node, and nothing else', () => {
    const nodeAt = (of: string, port?: string) =>
      port === undefined
        ? drawing.places.find((p) => p.id === of)?.node
        : drawing.parts.find((p) => p.id === of)?.ports.find((t) => t.name === port)?.node;
    for (const { node, from, to } of drawing.wires) {
      expect(nodeAt(from.of, from.port)).toBe(node);
      expect(nodeAt(to.of, to.port)).toBe(node);
    }
  });
  it('no element of the network is left out: what is drawn holds every node that it has', () => {
    const scene = middleScene(model);
    const drawn = new Set(drawing.parts.flatMap((p) => p.ports.map((t) => t.node)));
    for (const state of statesOf(built)) {
      const own = new Map(built.parts.map((p) => [p.id, new Set(Object.values(p.nodes))]));
      for (const e of scene.elements(stateOf(state))) {
        const part = built.parts.find((p) => e.id === p.id || e.id.startsWith(`${p.id}.`));
        // Nodes that lie inside a part, between its own elements, are nobody's terminal.
        for (const node of [e.a, e.b])
          if (part && own.get(part.id)!.has(node) && part.kind.symbol !== 'none' && node !== part.nodes['tower'])
            expect(drawn.has(node) || node === part.nodes['earth'], `${e.id} ${node}`).toBe(true);
      }
    }
  });
  it('volts and amperes are those of the solver, in every state', () => {
    const scene = middleScene(model);
    for (const state of statesOf(built)) {
      const live = liveOf(drawing, scene, state);
      const at = solveOperatingPoint(scene.elements(stateOf(state)));
      if (!at.ok) throw new Error(at.code);
      for (const [node, volts] of Object.entries(live.volts)) expect(volts, node).toBeCloseTo(at.volts(node), 6);
      for (const [id, amps] of Object.entries(live.amps)) expect(amps, id).toBeCloseTo(at.amps(id), 6);
    }
  });
});

describe('a saloon with points and a ballast', () => {
  const { drawing, states } = drawingView(points);
  it('has its high tension from the coil to each plug, and the plugs earthed', () => {
    const to = (id: string) =>
      drawing.wires.flatMap((w) => (w.from.of === id ? [w.to.of] : w.to.of === id ? [w.from.of] : []));
    expect(to('coil')).toContain('coil-lead');
    expect(to('cap')).toContain('rotor');
    const plugs = drawing.parts.filter((p) => p.symbol === 'plug');
    expect(plugs).toHaveLength(6);
    for (const plug of plugs) {
      expect(plug.ports.filter((t) => t.earthed)).toHaveLength(1);
      expect(to(plug.id)).toEqual([plug.id.replace('plug', 'lead')]);
    }
  });
  it('what flows into the wire to the coil flows out of the coil: Kirchhoff, part by part', () => {
    const { well } = liveView(points, 'on');
    // About four amperes of twelve volts over three ohms, all of it through wire, ballast, coil and points in a row.
    expect(well.amps['coil']).toBeGreaterThan(3);
    expect(well.amps['coil']).toBeLessThan(5);
    for (const id of ['coil-feed', 'ballast']) expect(well.amps[id]).toBeCloseTo(well.amps['coil']!, 2);
    const drop = well.volts['ballast-in']! - well.volts['coil+']!;
    expect(drop / well.amps['ballast']!).toBeGreaterThan(1.3);
    expect(drop / well.amps['ballast']!).toBeLessThan(1.8);
  });
  it('a fault is shown beside what it was, as bad as is asked', () => {
    const at = (severity: number) => liveView(points, 'on', undefined, 'ballast.high', severity);
    const [slight, worst] = [at(0.1), at(1)];
    expect(slight.bad!.amps['coil']).toBeLessThan(slight.well.amps['coil']!);
    expect(worst.bad!.amps['coil']).toBeLessThan(0.3);
    expect(at(0.5).well).toEqual(worst.well);
    expect(liveView(points, 'on').bad).toBeUndefined();
  });
  it('knows its states and which faults come by degrees', () => {
    expect(states).toEqual(['off', 'on', 'on, open', 'cranking']);
    const { faults } = drawingView(points);
    expect(faults.find((f) => f.id === 'ballast.high')!.graded).toBe(true);
    expect(faults.find((f) => f.id === 'ballast.open')!.graded).toBe(false);
  });
  it('leads go where a check puts them, in the state that it is read in', () => {
    const check = (id: string) => leadsOf(points.checks.find((c) => c.id === id)!);
    expect(check('coil-minus-closed')).toMatchObject({ red: 'coil-', state: 'on' });
    expect(check('battery-cranking')).toMatchObject({ red: 'post', state: 'cranking' });
    expect(check('look-cap')).toBeUndefined();
  });
  it('of one trail, what another has for itself is left out', () => {
    const launch = buildModel(EVERY_KIND.find(([n]) => n === 'charge: alternator with a lamp')![1], house);
    const ids = drawingOf(launch.machine, 'spark').parts.map((p) => p.id);
    expect(ids).toContain('points');
    expect(ids).not.toContain('charger');
  });
});
