import { drawingView, TracerCache, type Drawing } from '@pondu/core';
import { houseSchema, storedMachineSchema } from '@pondu/core/schema';
import ELK from 'elkjs/lib/elk.bundled.js';
import { describe, expect, it } from 'vitest';
import { crossings } from './crossings.ts';
import { boxOf, inLines, WIDTH } from './geometry.ts';
import { layOut, type Run } from './layout.ts';
import { segmentsOf } from './segments.ts';
import { VALUE } from './values.ts';

const house = houseSchema.parse({});
/** Every machine of the demo, with what its circuits have. */
const files = import.meta.glob<{ machines?: unknown[] }>('../../../demo/*.pondu.json', {
  eager: true,
  import: 'default',
});
const drawings = Object.values(files).flatMap(({ machines = [] }) =>
  machines.flatMap((stored): [string, Drawing][] => {
    const machine = storedMachineSchema.parse((stored as { machine?: unknown }).machine ?? stored);
    const { drawing } = drawingView(new TracerCache(1).for(machine, house).model);
    return drawing.parts.length ? [[machine.name, drawing]] : [];
  }),
);

describe.each(drawings)('%s, laid out', (_name, drawing) => {
  it('nothing lies on anything else, few wires cross, and it is the same each time', async () => {
    const laid = await layOut(drawing, new ELK());
    const boxes = laid.parts.map(({ part, box, x, y }) => ({ id: part.id, x, y, w: box.width, h: box.height }));
    for (const [k, a] of boxes.entries())
      for (const b of boxes.slice(k + 1))
        expect(a.x + a.w <= b.x || b.x + b.w <= a.x || a.y + a.h <= b.y || b.y + b.h <= a.y, `${a.id} ${b.id}`).toBe(
          true,
        );
    expect(crossings(laid.wires)).toBeLessThanOrEqual(drawing.wires.length / 10);
    // Every wire goes level or upright, from one end to the other.
    for (const run of laid.wires)
      for (const { a, b } of segmentsOf(run)) expect(a.x === b.x || a.y === b.y, run.wire.id).toBe(true);
    expect(await layOut(drawing, new ELK())).toEqual(laid);
  });
  it('volts stand over no wire, no part, and no other figure', async () => {
    const laid = await layOut(drawing, new ELK());
    const values = laid.wires.flatMap((w) => (w.value ? [w.value] : []));
    const nodes = new Set(drawing.wires.map((w) => w.node));
    expect(values.length).toBeGreaterThan(0.85 * nodes.size);
    for (const { x, y } of values) {
      for (const run of laid.wires)
        for (const { a, b } of segmentsOf(run)) {
          const beside =
            Math.max(a.x, b.x) <= x ||
            Math.min(a.x, b.x) >= x + VALUE.width ||
            Math.max(a.y, b.y) <= y ||
            Math.min(a.y, b.y) >= y + VALUE.height;
          expect(beside, run.wire.id).toBe(true);
        }
    }
    for (const [k, a] of values.entries())
      for (const b of values.slice(k + 1))
        expect(Math.abs(a.x - b.x) >= VALUE.width || Math.abs(a.y - b.y) >= VALUE.height).toBe(true);
  });
  it('the source is left of all that it feeds, and every plug right of its lead', async () => {
    const laid = await layOut(drawing, new ELK());
    const x = new Map(laid.parts.map((p) => [p.part.id, p.x]));
    const battery = x.get('battery');
    if (battery !== undefined) expect(battery - Math.min(...x.values())).toBeLessThan(WIDTH / 2);
    for (const [id, at] of x) {
      const lead = x.get(id.replace('plug', 'lead'));
      if (id.startsWith('plug-') && lead !== undefined) expect(at).toBeGreaterThan(lead);
    }
  });
});

describe('crossings', () => {
  const run = (node: string, ...points: [number, number][]): Run => ({
    wire: { id: node, node, highTension: false, from: { of: 'a' }, to: { of: 'b' } },
    points: points.map(([x, y]) => ({ x, y })),
  });
  it('are counted once, and neither where wires touch nor where they are one', () => {
    const level = run('n', [0, 10], [100, 10]);
    expect(crossings([level, run('m', [50, 0], [50, 20])])).toBe(1);
    expect(crossings([level, run('m', [50, 10], [50, 20])])).toBe(0);
    expect(crossings([level, run('n', [50, 0], [50, 20])])).toBe(0);
    expect(crossings([level, run('m', [0, 20], [100, 20])])).toBe(0);
  });
});

describe('a part’s box', () => {
  it('keeps a label to two lines, and loses no word of it', () => {
    expect(inLines('Points')).toEqual(['Points']);
    expect(inLines('Wire from switch to coil')).toEqual(['Wire from switch', 'to coil']);
    expect(inLines('A very long name of a part indeed').join(' ')).toBe('A very long name of a part indeed');
    expect(inLines('A very long name of a part indeed')).toHaveLength(2);
  });
  it('grows with its terminals, and has its earth beneath', () => {
    const port = (name: string, earthed = false) => ({ name, node: name, earthed });
    const pack = { id: 'pack', label: 'Pack', symbol: 'module', trail: 'spark', station: 'pack' } as const;
    const few = boxOf({ ...pack, ports: [port('in'), port('out1')] });
    const many = boxOf({ ...pack, ports: [port('in'), ...[1, 2, 3, 4, 5].map((n) => port(`out${n}`))] });
    expect(many.height).toBeGreaterThan(few.height);
    expect(new Set(many.terminals.filter((t) => t.side === 'right').map((t) => t.y)).size).toBe(5);
    const earthed = boxOf({ ...pack, ports: [port('in'), port('earth', true)] });
    expect(earthed.terminals.at(-1)).toMatchObject({ side: 'bottom', earthed: true });
    // Of something that makes its own current the live end is on the right.
    const coil = boxOf({ ...pack, symbol: 'winding', ports: [port('a'), port('b', true)] });
    expect(coil.terminals[0]).toMatchObject({ name: 'a', side: 'right' });
  });
});
