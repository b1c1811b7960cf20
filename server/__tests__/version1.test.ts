import { readFileSync } from 'node:fs';
import { QueryTypes } from 'sequelize';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { newMachine, start, type Started } from './start.ts';

const file = readFileSync(new URL('./fixtures/version1.pondu.json', import.meta.url), 'utf8');
interface Told {
  machine: { fitOut: { layout?: string; trails: { trail: string; kind: string }[] } };
}

let s: Started;
beforeEach(async () => {
  s = await start();
});
afterEach(() => s.stop());

describe('what version 1 wrote', () => {
  it('is taken in from a file: its job traces as before, and goes out again as version 2', async () => {
    await s.api.post('/api/import').set('content-type', 'application/json').send(file).expect(201);
    const { body } = await s.api.get('/api/machines/harbour-launch').expect(200);
    const { fitOut } = (body as Told).machine;
    expect(fitOut.layout).toBeUndefined();
    expect(fitOut.trails).toMatchObject([{ trail: 'spark', kind: 'battery-points' }]);
    const job = (await s.api.get('/api/jobs/launch-1').expect(200)).body as { events: unknown[]; unreadable: number };
    expect(job.events).toHaveLength(3);
    expect(job.unreadable).toBe(0);
    const trace = (await s.api.get('/api/jobs/launch-1/trace').expect(200)).body as { trails: { trail: string }[] };
    expect(trace.trails.map((t) => t.trail)).toContain('spark');
    const out = JSON.parse((await s.api.get('/api/export').expect(200)).text) as {
      version: number;
      machines: Told[];
    };
    expect(out.version).toBe(2);
    expect(out.machines[0]!.machine.fitOut.trails[0]!.kind).toBe('battery-points');
  });
  it('that lies in the shop’s own data is read as it lies, and written anew when it is changed', async () => {
    const id = await newMachine(s);
    const one = {
      name: 'Stored long ago',
      kind: 'car',
      fitOut: {
        layout: 'flywheel-magneto',
        volts: 12,
        earth: 'negative',
        cylinders: 2,
        ballast: 'none',
        fused: false,
        compressionRatio: 7,
      },
    };
    await s.store.sequelize.query('UPDATE machines SET body = ? WHERE id = ?', {
      replacements: [JSON.stringify(one), id],
    });
    const { body } = await s.api.get(`/api/machines/${id}`).expect(200);
    expect((body as Told).machine.fitOut.trails).toMatchObject([{ trail: 'spark', kind: 'flywheel-magneto' }]);
    await s.api.put(`/api/machines/${id}`).set('if-match', '"1"').send({ notes: 'Found' }).expect(200);
    const [row] = await s.store.sequelize.query<{ body: string }>('SELECT body FROM machines WHERE id = ?', {
      replacements: [id],
      type: QueryTypes.SELECT,
    });
    expect(row!.body).toContain('"trails"');
    expect(row!.body).not.toContain('"layout"');
  });
});
