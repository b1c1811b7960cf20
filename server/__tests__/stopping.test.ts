import { afterEach, describe, expect, it } from 'vitest';
import { setStopping } from '../src/http/stopping.ts';
import { newJob, problemIn, start, type Started } from './start.ts';

let s: Started;
afterEach(async () => {
  setStopping(false);
  await s.stop();
});

describe('a server that is being stopped', () => {
  it('a reading whose thread goes away under it is to be sent again, not refused', async () => {
    s = await start();
    const job = await newJob(s);
    const { run } = s.compute;
    const gone = () => Promise.reject(new Error('Terminating worker thread'));
    Object.assign(s.compute, { run: gone });
    const send = () =>
      s.api.post(`/api/jobs/${job}/readings`).send({ id: 'r', checkId: 'battery-rest', typed: '12.4 V' });
    problemIn(await send().expect(500));
    setStopping(true);
    const { body } = problemIn(await send().expect(503));
    expect(body.type).toContain('stopping');
    setStopping(false);
    Object.assign(s.compute, { run });
    await send().expect(201);
    const events = (await s.api.get(`/api/jobs/${job}`)).body.events as unknown[];
    expect(events).toHaveLength(1);
  });
  it('what is wrong with a request is said as ever', async () => {
    s = await start();
    setStopping(true);
    problemIn(await s.api.get('/api/jobs/none').expect(404));
  });
});
