import { X509Certificate } from 'node:crypto';
import { mkdtemp, rm, stat, writeFile } from 'node:fs/promises';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import supertest from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { certificates, holds } from '../src/door/certificates.ts';
import { lanHosts, loopbackOnly } from '../src/door/origin.ts';
import { ShopKey } from '../src/door/shopKey.ts';
import { trustApp } from '../src/door/trustPage.ts';
import { enterAddress, welcome } from '../src/welcome.ts';
import { machineBody, newJob, newMachine, problemIn, start, type Started } from './start.ts';

const me = { name: 'Tablet on the bench', initials: 'JM' };

describe('on this machine alone', () => {
  let s: Started;
  beforeAll(async () => {
    s = await start();
  });
  afterAll(() => s.stop());

  it('a foreign name for our address is refused', async () => {
    for (const host of ['evil.example', 'evil.example:4780', '127.0.0.1.evil.example', '']) {
      const res = await s.api.get('/api/export').set('Host', host);
      expect(problemIn(res).body.status, host).toBe(403);
    }
    for (const host of ['localhost:1', '127.0.0.1', '[::1]:4780'])
      await s.api.get('/api/health').set('Host', host).expect(200);
  });
  it('a foreign page reads nothing, fetches no backup, deletes no job, rewrites no house', async () => {
    const id = await newJob(s);
    for (const headers of [
      { Origin: 'https://evil.example' },
      { Origin: 'null' },
      { Origin: 'http://localhost:9' },
      { 'Sec-Fetch-Site': 'cross-site' },
      { 'Sec-Fetch-Site': 'same-site' },
    ]) {
      problemIn(await s.api.get('/api/export').set(headers).expect(403));
      problemIn(await s.api.get('/api/backup.sqlite').set(headers).expect(403));
      problemIn(await s.api.delete(`/api/jobs/${id}`).set('x-pondu', '1').set(headers).expect(403));
      problemIn(await s.api.put('/api/house').set(headers).send({ ratePerHour: 1 }).expect(403));
    }
    await s.api.get(`/api/jobs/${id}`).expect(200);
  });
  it('what a plain form can send is no write', async () => {
    const id = await newJob(s);
    const form = (type: string) => s.api.post('/api/jobs').set('content-type', type).send('machineId=x');
    for (const type of ['application/x-www-form-urlencoded', 'text/plain', 'multipart/form-data'])
      problemIn(await form(type).expect(415));
    problemIn(await s.api.delete(`/api/jobs/${id}`).expect(415));
    problemIn(await s.api.post(`/api/jobs/${id}/restore`).expect(415));
  });
  it('our own page may, from the origin that it was read from', async () => {
    await s.api
      .put('/api/house')
      .set('Host', 'localhost:4780')
      .set('Origin', 'http://localhost:4780')
      .set('Sec-Fetch-Site', 'same-origin')
      .send({ ratePerHour: 50 })
      .expect(200);
  });
  it('a device may be named without a key; from then on entries say who and where', async () => {
    const { app } = s;
    const device = supertest.agent(app);
    await device.put('/api/door/me').send(me).expect(200);
    const id = await newJob(s);
    const { body } = await device
      .post(`/api/jobs/${id}/readings`)
      .send({ checkId: 'battery-rest', typed: '12.4' })
      .expect(201);
    expect(body.events[0].reading.by).toEqual({ device: me.name, initials: 'JM' });
    await device
      .put('/api/door/me')
      .send({ ...me, initials: 'AK' })
      .expect(200);
    const fixed = await device.post(`/api/jobs/${id}/fixes`).send({ what: 'Dried', how: 'cleaned' }).expect(201);
    expect(fixed.body.events[1].fix.by.initials).toBe('AK');
    // Nobody writes in another's name.
    const forged = await s.api
      .post(`/api/jobs/${id}/settings`)
      .send({ figure: 'a', leftAt: 1, by: { device: 'x', initials: 'ZZ' } })
      .expect(201);
    expect(forged.body.events[2].setting.by).toBeUndefined();
  });
  it('what was changed stands in the journal, and is put back', async () => {
    const device = supertest.agent(s.app);
    await device.put('/api/door/me').send(me).expect(200);
    const id = await newMachine(s, { notes: 'as it was' });
    await device.put(`/api/machines/${id}`).send({ notes: 'spoilt' }).expect(200);
    await device.put('/api/house').send({ ratePerHour: 77 }).expect(200);
    const [house, machine] = (await s.api.get('/api/journal').expect(200)).body as Record<string, unknown>[];
    expect(house).toMatchObject({ what: 'house', fields: ['ratePerHour'], initials: 'JM' });
    expect(machine).toMatchObject({ what: 'machine', ref: id, name: 'Test car', fields: ['notes'], device: me.name });
    await s.api
      .post(`/api/journal/${String(machine!['seq'])}/put-back`)
      .set('x-pondu', '1')
      .expect(200);
    expect((await s.api.get(`/api/machines/${id}`)).body.machine.notes).toBe('as it was');
    expect((await s.api.get('/api/journal')).body[0]).toMatchObject({ what: 'machine', fields: ['notes'] });
    problemIn(await s.api.post('/api/journal/999999/put-back').set('x-pondu', '1').expect(404));
    problemIn(await s.api.post('/api/journal/x/put-back').set('x-pondu', '1').expect(404));
  });
});

describe('in the shop’s network', () => {
  const key = new ShopKey();
  let s: Started;
  let web: string;
  beforeAll(async () => {
    web = await mkdtemp(join(tmpdir(), 'pondu-web-'));
    await writeFile(join(web, 'index.html'), 'the bays');
    await writeFile(join(web, 'enter.html'), '<script src="/assets/enter-1.js"></script>');
    s = await start({
      webFolder: web,
      door: { key, secure: true, addresses: ['https://10.0.0.2:4780'] },
      hosts: lanHosts(['workshop']),
    });
  });
  afterAll(async () => {
    await s.stop();
    await rm(web, { recursive: true, force: true });
  });

  it('without the key there is the sign-in page and nothing else', async () => {
    for (const path of [
      '/api/jobs',
      '/api/export',
      '/api/backup.sqlite',
      '/api/house',
      '/api/door',
      '/api/changes',
      '/api/openapi.json',
    ])
      problemIn(await s.api.get(path).expect(401));
    problemIn(await s.api.post('/api/machines').send(machineBody).expect(401));
    expect((await s.api.get('/jobs/x?a=b').set('Accept', 'text/html').expect(303)).headers['location']).toBe(
      '/enter.html?to=%2Fjobs%2Fx%3Fa%3Db',
    );
    problemIn(await s.api.get('/index.html').set('Accept', 'text/html').expect(404));
    problemIn(await s.api.get('/assets/main-1.js').expect(404));
    await s.api.get('/enter.html').expect(200);
  });
  it('the key lets a device in, as it is typed; its cookie is kept from scripts and goes over https alone', async () => {
    const device = supertest.agent(s.app);
    const res = await device
      .post('/api/door/enter')
      .send({ ...me, key: ` ${key.text.toLowerCase().replaceAll('-', ' ')} ` })
      .expect(201);
    const cookie = String(res.headers['set-cookie']);
    for (const said of ['HttpOnly', 'SameSite=Strict', 'Secure', 'Path=/']) expect(cookie).toContain(said);
    const token = /pondu_device=([^;]+)/.exec(cookie)![1]!;
    const known = { Cookie: `pondu_device=${token}` };
    expect((await s.api.get('/').set(known).set('Accept', 'text/html').expect(200)).text).toBe('the bays');
    const door = (await s.api.get('/api/door').set(known).expect(200)).body;
    expect(door).toMatchObject({ locked: true, key: key.text, me, addresses: ['https://10.0.0.2:4780'] });
    // Only its hash is stored.
    const rows = JSON.stringify(await s.store.models.devices.findAll({ raw: true }));
    expect(rows).not.toContain(token);
    expect(rows).not.toContain(key.text);
    // Put out, it is out at once.
    await s.api
      .delete(`/api/door/devices/${door.me.id as string}`)
      .set(known)
      .set('x-pondu', '1')
      .expect(204);
    problemIn(await s.api.get('/api/jobs').set(known).expect(401));
    problemIn(await s.api.get('/api/jobs').set({ Cookie: 'pondu_device=guess' }).expect(401));
  });
  it('wrong keys are refused, and slowed down', async () => {
    const slow = await start({ webFolder: web, door: { key, secure: false, addresses: [] } });
    const guess = (typed: string) => slow.api.post('/api/door/enter').send({ ...me, key: typed });
    for (let i = 0; i < 8; i++) problemIn(await guess(`AAAA-AAAA-AAAA-AAA${i}`).expect(403));
    expect(problemIn(await guess(key.text).expect(429)).body.title).toMatch('Wait a minute');
    await slow.stop();
  });
  it('a name or initials that are missing are told by the field', async () => {
    const { body } = problemIn(
      await s.api.post('/api/door/enter').send({ key: key.text, name: '', initials: '' }).expect(422),
    );
    expect((body.fields as { field: string }[]).map((f) => f.field)).toEqual(['name', 'initials']);
  });
});

describe('the key', () => {
  it('is drawn from letters that are not taken for one another, and anew each time', () => {
    const keys = Array.from({ length: 200 }, () => new ShopKey().text);
    expect(new Set(keys).size).toBe(200);
    for (const k of keys) expect(k).toMatch(/^([A-Z3-9]{4}-){3}[A-Z3-9]{4}$/);
    expect(keys.join('')).not.toMatch(/[OIS0125ZL]/);
  });
  it('opens to itself alone', () => {
    const key = new ShopKey();
    expect(key.opens(key.text)).toBe(true);
    for (const typed of ['', key.text.slice(0, -1), `${key.text}A`, new ShopKey().text])
      expect(key.opens(typed)).toBe(false);
  });
  it('is said in the terminal, with the address as a line of its own', async () => {
    const said = await welcome({
      addresses: ['https://10.0.0.2:4780'],
      file: '/data/x.sqlite',
      key: 'AAAA-BBBB-CCCC-DDDD',
      trust: undefined,
      authority: undefined,
    });
    expect(said.split('\n').map((l) => l.trim())).toContain('https://10.0.0.2:4780');
    expect(said).toContain('Shop key: AAAA-BBBB-CCCC-DDDD');
    expect(enterAddress('https://a', 'K')).toBe('https://a/enter.html#K');
  });
});

describe('names of this machine', () => {
  it('here only the loopback; in the network its addresses and what the shop adds', () => {
    expect(loopbackOnly('localhost')).toBe(true);
    expect(loopbackOnly('192.168.1.5')).toBe(false);
    const lan = lanHosts(['workshop.home']);
    expect(lan('workshop.home')).toBe(true);
    expect(lan('evil.example')).toBe(false);
    expect(lan('203.0.113.7')).toBe(false);
  });
});

describe('certificates', () => {
  it('the shop signs its own; a device that trusts the shop gets an encrypted line, another does not', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'pondu-certificates-'));
    const made = await certificates(folder);
    const authority = new X509Certificate(made.authority);
    const server = new X509Certificate(made.cert);
    expect(authority.ca).toBe(true);
    expect(server.verify(authority.publicKey)).toBe(true);
    expect((await stat(join(folder, 'authority.key'))).mode & 0o077).toBe(0);
    expect((await stat(join(folder, 'server.key'))).mode & 0o077).toBe(0);

    const https = createServer({ key: made.key, cert: made.cert }, (_req, res) => void res.end('in'));
    await new Promise<void>((done) => https.listen(0, '127.0.0.1', done));
    const { port } = https.address() as AddressInfo;
    const ask = (ca?: string) =>
      new Promise<string>((resolve, reject) => {
        const req = request({ host: '127.0.0.1', port, ca, rejectUnauthorized: true, servername: '' }, (res) => {
          res.on('data', (chunk: Buffer) => resolve(chunk.toString()));
        });
        req.on('error', reject);
        req.end();
      });
    await expect(ask(made.authority)).resolves.toBe('in');
    await expect(ask()).rejects.toThrow(/self-signed|unable to/);
    await new Promise((done) => https.close(done));

    // The next start takes them as they are; another name asks for a new one, signed by the same authority.
    expect(await certificates(folder)).toEqual(made);
    const renamed = await certificates(folder, ['quay']);
    expect(renamed.authority).toBe(made.authority);
    expect(renamed.cert).not.toBe(made.cert);
    expect(holds(renamed.cert, ['quay'], ['127.0.0.1'])).toBe(true);
    expect(holds(made.cert, ['quay'], [])).toBe(false);
    await rm(folder, { recursive: true, force: true });
  });
  it('the plain page gives the certificate, how to trust it, and nothing else', async () => {
    const page = supertest(trustApp('-----CERT-----', (host) => `https://${host}:4780`));
    expect((await page.get('/').expect(200)).text).toContain('Trust this workshop');
    const cert = await page.get('/pondu-workshop.crt').buffer(true).expect(200);
    expect(cert.headers['content-type']).toContain('x509-ca-cert');
    for (const path of ['/api/jobs', '/index.html', '/enter.html']) await page.get(path).expect(404);
    await page.post('/').expect(404);
  });
});
