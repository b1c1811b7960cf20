import { describe, expect, it } from 'vitest';
import { fuzz } from './fuzz.ts';
import { killing } from './killing.ts';
import { TestServer } from '../../e2e/server.ts';

/** The small ones of `npm run bench server`. */
describe('a server that is mistreated', () => {
  it('told to stop while streams are open, ends them and goes by itself', async () => {
    const server = new TestServer();
    const url = await server.start();
    const streams = await Promise.all(
      ['/api/changes', '/api/machines/orchard-tractor/meter?check=battery-rest'].map((path) => fetch(url + path)),
    );
    for (const stream of streams) expect(stream.status).toBe(200);
    // One that had to be put down after its eight seconds would end with 1.
    expect(await server.stop()).toBe(0);
    await server.remove();
  });
  it('killed while it is written to, loses nothing that it acknowledged', async () => {
    const { acknowledged, lost, doubled, imports } = await killing(4, 4);
    expect(acknowledged).toBeGreaterThan(20);
    expect(imports.acknowledged).toBeGreaterThan(0);
    expect({ lost, doubled, imports: { lost: imports.lost, halves: imports.halves } }).toEqual({
      lost: 0,
      doubled: 0,
      imports: { lost: 0, halves: 0 },
    });
  });
  it('asked for anything, answers without an error of its own', async () => {
    const { failed, examples, byStatus } = await fuzz(1500, 7);
    expect(examples).toEqual([]);
    expect(failed).toBe(0);
    expect(byStatus['200']).toBeGreaterThan(100);
    expect(byStatus['422']).toBeGreaterThan(50);
  });
});
