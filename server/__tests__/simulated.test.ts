import { mkdir, mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { simulatedName, TracerCache } from '@pondu/core';
import { houseSchema, machineBodySchema, type House, type MachineBody } from '@pondu/core/schema';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { programMark } from '../src/programMark.ts';
import { forgetOthers, hasSimulation, keepSimulation, simulationOf } from '../src/store/simulations.ts';
import { newJob, newMachine, start, type Started } from './start.ts';

const FILE = 'worker-abc.js';
const BY = `?by=${FILE}`;
let folder: string;
let s: Started;
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pondu-built-'));
  await mkdir(join(folder, 'assets'));
  await writeFile(join(folder, 'assets', FILE), '');
  s = await start({ webFolder: folder, simulates: true });
});
afterAll(async () => {
  await s.stop();
  await rm(folder, { recursive: true, force: true });
});
/** As a page has them: read from what the server sends. */
const asSent = async (machineId: string): Promise<[MachineBody, House]> => {
  const { machine } = (await s.api.get(`/api/machines/${machineId}`).expect(200)).body as { machine: object };
  const { house } = (await s.api.get('/api/house').expect(200)).body as { house: object };
  return [machineBodySchema.parse(machine), houseSchema.parse(house)];
};

describe('a machine is simulated ahead', () => {
  it('as soon as it is told, and once more when its figures change', async () => {
    const id = await newMachine(s);
    await s.simulations!.idle();
    const [machine, house] = await asSent(id);
    const sent = await s.api.get(`/api/simulated/${simulatedName(machine, house)}${BY}`).expect(200);
    const page = new TracerCache(1);
    expect(page.recall(machine, house, JSON.stringify(sent.body))).toBe(true);

    const plates = { 'points.gapMetres': { low: 0.0004, high: 0.0004, source: 'manual', note: '' } };
    await s.api
      .put(`/api/machines/${id}`)
      .send({ ...machine, plates })
      .expect(200);
    await s.simulations!.idle();
    const changed = simulatedName(...(await asSent(id)));
    expect(changed).not.toBe(simulatedName(machine, house));
    await s.api.get(`/api/simulated/${changed}${BY}`).expect(200);
  });
  it('once the bay of its job was told, where it was not before', async () => {
    const lone = await start({ webFolder: folder, simulates: true });
    const job = await newJob(lone);
    await lone.simulations!.idle();
    await lone.store.models.simulations.destroy({ where: {} });
    const { machineId } = (await lone.api.get(`/api/jobs/${job}`)).body as { machineId: string };
    const stored = (await lone.api.get(`/api/machines/${machineId}`)).body as { machine: MachineBody };
    const name = simulatedName(stored.machine, houseSchema.parse({}));
    await lone.api.get(`/api/simulated/${name}${BY}`).expect(204);
    await lone.api.get('/api/jobs?stage=open').expect(200);
    await lone.summaries.idle();
    await lone.simulations!.idle();
    await lone.api.get(`/api/simulated/${name}${BY}`).expect(200);
    await lone.stop();
  });
  it('for pages of the same build alone', async () => {
    const name = simulatedName(...(await asSent(await newMachine(s))));
    await s.simulations!.idle();
    await s.api.get(`/api/simulated/${name}?by=worker-old.js`).expect(204);
    await s.api.get(`/api/simulated/${name}?by=..%2F..%2F${FILE}`).expect(204);
    await s.api.get(`/api/simulated/${name}`).expect(422);
    await s.api.get(`/api/simulated/${name}${BY}`).expect(200);
  });
  it('and one that cannot be computed keeps nobody waiting', async () => {
    s.simulations!.want('no such machine');
    await s.simulations!.idle();
  });
});

describe('what is kept of simulations', () => {
  it('are those made last', async () => {
    for (let k = 0; k < 50; k++) await keepSimulation(s.store, `m${k}`, Buffer.from([k]), 5e12 + k);
    expect(await hasSimulation(s.store, 'm0')).toBe(false);
    expect(await simulationOf(s.store, 'm49')).toEqual(Buffer.from([49]));
  });
  it('is forgotten, with the bays, when another program starts on the same data, and by none that is the same', async () => {
    const mark = await programMark(join(import.meta.dirname, 'start.ts'));
    expect(mark).toBeGreaterThan(0);
    expect(await programMark(join(import.meta.dirname, 'simulated.test.ts'))).not.toBe(mark);
    await forgetOthers(s.store, mark);
    expect(await hasSimulation(s.store, 'm49')).toBe(false);
    expect(await s.store.models.summaries.count()).toBe(0);
    await keepSimulation(s.store, 'mine', Buffer.from([1]), 1);
    await forgetOthers(s.store, mark);
    expect(await hasSimulation(s.store, 'mine')).toBe(true);
  });
});
