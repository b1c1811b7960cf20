import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { complaint, newJob, newMachine, start, type Started } from './start.ts';

/** Ends a literal where its quote is not doubled, and goes on as a statement of its own. */
const HOSTILE = `zz'); DELETE FROM events; --`;
const MARK = 'DELETE FROM events; --';

/** A statement with what stands in its literals taken out: what is left is SQL and nothing that was sent. */
const withoutLiterals = (sql: string): string => sql.replace(/'(?:[^']|'')*'/g, '?');

describe('the text of SQL statements, as the driver is given it', () => {
  let s: Started;
  const log: string[] = [];
  let job: string;
  beforeAll(async () => {
    s = await start();
    job = await newJob(s, complaint, await newMachine(s));
    const { options } = s.store.sequelize as unknown as { options: { logging: (sql: string) => void } };
    options.logging = (sql) => void log.push(sql);
  });
  afterAll(() => s.stop());

  it('is told apart from literals by the test itself', () => {
    expect(withoutLiterals(`SELECT 'a''b' || 'c' FROM d`)).toBe('SELECT ? || ? FROM d');
    expect(withoutLiterals(`SELECT '${HOSTILE}'`)).toContain(MARK);
  });
  it('never has in it what was sent in a body, an address or a filter', async () => {
    const inAddress = encodeURIComponent(HOSTILE);
    const { api } = s;
    await api.post('/api/machines').send({ name: HOSTILE, id: HOSTILE });
    await newMachine(s, { name: HOSTILE, notes: HOSTILE });
    await api.patch(`/api/jobs/${job}`).send({ title: HOSTILE, waitsFor: HOSTILE, complaint: { words: HOSTILE } });
    const entries: [string, object][] = [
      ['readings', { checkId: 'battery-rest', typed: '12.4 V', note: HOSTILE, id: HOSTILE }],
      ['settings', { figure: HOSTILE, leftAt: 1, id: HOSTILE }],
      ['fixes', { what: HOSTILE, how: 'cleaned', repairId: HOSTILE }],
      ['snags', { what: HOSTILE, weight: 'looks' }],
      ['asides', { checkId: HOSTILE, note: HOSTILE }],
    ];
    for (const [what, sent] of entries) await api.post(`/api/jobs/${job}/${what}`).send(sent);
    const gets = [
      `/api/jobs/${inAddress}`,
      `/api/jobs/${inAddress}/trace`,
      `/api/jobs?q=${inAddress}&machine=${inAddress}&after=${inAddress}`,
      `/api/machines?q=${inAddress}`,
      `/api/machines/${inAddress}`,
      `/api/jobs/${job}/pictures/${inAddress}`,
      `/api/jobs/${job}/checks/${inAddress}/ruler`,
    ];
    for (const path of gets) await api.get(path);
    await api.delete(`/api/jobs/${inAddress}`);

    const met = log.filter((sql) => sql.includes(MARK));
    // Those that Sequelize writes itself carry it, escaped; there must be some, or nothing was looked at.
    expect(met.length).toBeGreaterThan(2);
    expect(met.filter((sql) => withoutLiterals(sql).includes(MARK))).toEqual([]);
    const { body } = await api.get(`/api/jobs/${job}`).expect(200);
    expect(body.events.length).toBeGreaterThan(2);
    expect(JSON.stringify(body)).toContain(MARK);
  });
  it('has no NUL in it, whatever is asked', async () => {
    log.length = 0;
    const nul = `a\0b`;
    const inAddress = encodeURIComponent(nul);
    const answers = [
      await s.api.get(`/api/jobs/${inAddress}`),
      await s.api.get(`/api/jobs?q=${inAddress}`),
      await s.api.get(`/api/machines?q=${inAddress}`),
      await s.api.get(`/api/jobs?after=${inAddress}`),
      await s.api.post(`/api/jobs/${job}/settings`).send({ figure: nul, leftAt: 1 }),
      await s.api.post('/api/machines').send({ name: nul }),
    ];
    for (const { status } of answers) {
      expect(status).toBeGreaterThanOrEqual(400);
      expect(status).toBeLessThan(500);
    }
    expect(log.filter((sql) => sql.includes('\0'))).toEqual([]);
  });
});
