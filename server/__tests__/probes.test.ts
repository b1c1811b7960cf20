import { freeProbeId } from '@pondu/core';
import { freeProbeSchema } from '@pondu/core/schema';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, newJob, newMachine, problemIn, start, type Started } from './start.ts';

let s: Started;
beforeAll(async () => {
  s = await start();
});
afterAll(() => s.stop());

const probe = freeProbeSchema.parse({
  instrument: 'voltmeter',
  live: 'coil-',
  earth: 'plate',
  state: 'key on, points closed',
});

describe('a reading between two places that no check lists', () => {
  it('is taken, judged by the model, shown on its ruler, and written in the CSV', async () => {
    const id = await newJob(s);
    const sent = { checkId: freeProbeId(probe), probe, typed: '9,4 V', faultPresent: 'yes' };
    const { body } = await s.api.post(`/api/jobs/${id}/readings`).send(sent).expect(201);
    expect(body.events[0].reading).toMatchObject({ probe, value: { kind: 'number', value: 9.4 }, typed: '9,4 V' });
    const { probes, failed, lines } = (await s.api.get(`/api/jobs/${id}/trace`).expect(200)).body;
    expect(probes.map((p: { id: string }) => p.id)).toEqual([freeProbeId(probe)]);
    expect(failed).toMatchObject([{ standing: 'above' }]);
    expect(lines[0].part).toBe('Points');
    const ruler = (await s.api.get(`/api/jobs/${id}/checks/${freeProbeId(probe)}/ruler`).expect(200)).body;
    expect(ruler.well.high).toBeLessThan(0.6);
    const { text } = await s.api.get(`/api/jobs/${id}/readings.csv`).expect(200);
    expect(text).toMatch(/coil − to the points base plate,9\.4,9\.4 V/);
  });
  it('is made by the API alone: the places, the probe as a check, the id for its readings', async () => {
    const machine = await newMachine(s);
    const picked = (await s.api.get(`/api/machines/${machine}/probes`).expect(200)).body as {
      places: { id: string }[];
      states: string[];
      parts: { id: string }[];
    };
    expect(picked.places.map((p) => p.id)).toEqual(expect.arrayContaining([probe.live, probe.earth]));
    expect(picked.states).toContain(probe.state);
    const made = (await s.api.post(`/api/machines/${machine}/probes`).send(probe).expect(200)).body as {
      id: string;
      well: { low: number; high: number };
    };
    expect(made.id).toBe(freeProbeId(probe));
    // Closed points drop next to nothing.
    expect(made.well.high).toBeLessThan(0.6);
    problemIn(
      await s.api
        .post(`/api/machines/${machine}/probes`)
        .send({ ...probe, live: 'nowhere' })
        .expect(422),
    );
  });
  it('what is never proposed is listed all the same; a remark on what is not there says so', async () => {
    const machine = await newMachine(s);
    const all = (await s.api.get(`/api/machines/${machine}/checks`).expect(200)).body as {
      id: string;
      proposed: boolean;
    }[];
    expect(all.filter((c) => !c.proposed).map((c) => c.id)).toEqual(
      expect.arrayContaining(['seen-coil', 'seen-points']),
    );
    const job = await newJob(s, complaint, machine);
    const remark = (id: string) =>
      s.api.post(`/api/jobs/${job}/readings`).send({ checkId: id, typed: 'looks bad', note: 'green' });
    await remark('seen-coil').expect(201);
    expect(problemIn(await remark('seen-stator').expect(404)).body.title).toMatch(/no part at "stator" to remark on/);
  });
  it('places that the machine has not got are told by the field, and nothing is kept', async () => {
    const id = await newJob(s);
    const wrong = { ...probe, live: 'nowhere' };
    const refused = problemIn(
      await s.api
        .post(`/api/jobs/${id}/readings`)
        .send({ checkId: freeProbeId(wrong), probe: wrong, typed: '1' })
        .expect(422),
    );
    expect(refused.body['fields']).toEqual([{ field: 'probe', message: expect.stringMatching(/no such places/) }]);
    // A name that is not this probe's own would let two probes pass for one.
    await s.api.post(`/api/jobs/${id}/readings`).send({ checkId: 'battery-rest', probe, typed: '1' }).expect(422);
    await s.api
      .post(`/api/jobs/${id}/readings`)
      .send({ checkId: 'x', probe: { ...probe, instrument: 'hammer' }, typed: '1' })
      .expect(422);
    expect((await s.api.get(`/api/jobs/${id}`)).body.events).toEqual([]);
  });
});

describe('work done before', () => {
  const recent = [{ station: 'points', what: 'new', ago: 'just before' }];
  it('weighs in the trace, and can be changed with the complaint', async () => {
    const machineId = await newMachine(s);
    const share = async (id: string) => {
      const { lines } = (await s.api.get(`/api/jobs/${id}/trace`).expect(200)).body;
      return lines.find((l: { repair: { id: string } }) => l.repair.id === 'points.set')?.share ?? 0;
    };
    const [plain, worked] = [
      await newJob(s, complaint, machineId),
      await newJob(s, { ...complaint, recent }, machineId),
    ];
    expect(await share(worked)).toBeGreaterThan(2 * (await share(plain)));
    await s.api.patch(`/api/jobs/${plain}`).send({ complaint: { recent } }).expect(200);
    expect(await share(plain)).toBeCloseTo(await share(worked), 9);
  });
  it('of an unknown kind is refused by its field', async () => {
    const machineId = await newMachine(s);
    const sent = { machineId, complaint: { ...complaint, recent: [{ ...recent[0], what: 'painted' }] } };
    const refused = problemIn(await s.api.post('/api/jobs').send(sent).expect(422));
    expect(refused.body['fields']).toEqual([
      { field: expect.stringMatching(/^complaint\.recent/), message: expect.any(String) },
    ]);
  });
});
