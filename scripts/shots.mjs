// npm run shots: the pictures of docs/screenshots/, from the demo data in a file of its own.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM, ensureBuilt, ensureDebian, ensureInstalled, root } from './lib/prepare.mjs';

await ensureInstalled();
await ensureDebian({ [CHROMIUM]: 'chromium' });
await ensureBuilt();
const { default: puppeteer } = await import('puppeteer-core');

const WIDE = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };
/** name, path, text to wait for, and what differs from a light 1280 × 800. */
const SHOTS = [
  ['bays', '/', 'Morrowick', {}],
  ['trace', '/jobs/launch-1/trace?check=coil-minus-closed', 'when well', { typed: '6.2' }],
  [
    'trace-phone',
    '/jobs/launch-1/trace?check=coil-minus-closed',
    'when well',
    { size: PHONE, typed: '6.2', theme: 'dim' },
  ],
  ['trace-trails', '/jobs/coupe-2/trace', 'Suspects', {}],
  [
    'wiring',
    '/machines/grey-saloon/drawing?state=on&fault=coil-feed.corroded&bad=0.6&part=coil-feed',
    'Boxed on the drawing',
    {},
  ],
  ['yard', '/jobs/pilot-1/yard?check=charge-peak-loaded', 'Measure with', {}],
  ['repair', '/jobs/saloon-1/repair', 'Why:', {}],
  ['set-up', '/jobs/saloon-1/set-up', 'Points gap', {}],
  ['timing', '/jobs/coupe-4/set-up?bench=timing', 'rev/min', {}],
  ['prove', '/jobs/van-1/prove', 'What failed must pass', {}],
  ['card', '/jobs/saloon-1/card', 'Should be', {}],
  ['fit', '/machines/hill-quad/fit', 'no longer made', {}],
  ['book', '/machines/doctors-coupe', 'Its book', {}],
  ['new-machine', '/machines/new', 'What makes', {}],
  ['new-job', '/new', 'Which machine', {}],
  ['shop', '/shop', 'What repairs cost here', {}],
];

const folder = mkdtempSync(join(tmpdir(), 'pondu-shots-'));
const servers = [];
/** Resolves with all that it says once it is up. */
async function start(name) {
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
    env: {
      ...process.env,
      PORT: '0',
      PONDU_DATA: join(folder, `${name}.sqlite`),
      PONDU_LOAD: join(root, 'demo'),
      PONDU_WEB: join(root, 'web/dist'),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  servers.push(server);
  let said = '';
  return new Promise((resolve) =>
    server.stdout.on('data', (d) => {
      said += d;
      if (said.includes('Data in')) setTimeout(() => resolve(said), 200);
    }),
  );
}
const url = /http:\/\/\S+/.exec(await start('shots'))[0];
const browser = await puppeteer.launch({
  executablePath: CHROMIUM,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-dev-shm-usage',
    '--no-first-run',
    '--disable-background-networking',
  ],
});
const out = join(root, 'docs/screenshots');
mkdirSync(out, { recursive: true });
async function opened({ theme = 'light', size = WIDE } = {}) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(size);
  // The first pictures wait until the workshop has worked its machines out.
  page.setDefaultTimeout(180_000);
  await page.evaluateOnNewDocument((t) => localStorage.setItem('pondu.theme', t), theme);
  return page;
}
const sees = (page, text) => page.waitForFunction((t) => document.body.innerText.includes(t), {}, text);
/** Wherever it stands on the page, once it can be pressed. */
const pressed = (page, name) =>
  page.waitForFunction(
    (n) => {
      const button = [...document.querySelectorAll('button')].find((b) => b.textContent === n && !b.disabled);
      button?.click();
      return button !== undefined;
    },
    { polling: 200 },
    name,
  );
async function taken(page, name) {
  // Until every bay and ruler has been worked out.
  await page.waitForFunction(() => !/Working (it|out)|Laying it out/.test(document.body.innerText), {
    timeout: 300_000,
  });
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await page.screenshot({ path: join(out, `${name}.png`) });
  await page.browserContext().close();
  console.log(`docs/screenshots/${name}.png`);
}

for (const [name, path, text, { typed, ...how }] of SHOTS) {
  const page = await opened(how);
  await page.goto(url + path, { waitUntil: 'networkidle2' });
  await sees(page, text);
  if (typed) {
    await page.type('#reading', typed);
    await page.waitForFunction(() => document.body.innerText.includes('with what you are typing'));
  }
  await taken(page, name);
}

// Without a signal: a reading and a change that wait.
{
  const page = await opened({ size: PHONE });
  await page.goto(`${url}/jobs/van-2/complaint`, { waitUntil: 'networkidle2' });
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.setOfflineMode(true);
  await sees(page, 'No connection');
  await page.focus('section[aria-label="Waiting"] [role=combobox]');
  await page.keyboard.press('Enter');
  await page.waitForSelector('[role=option]');
  await page.keyboard.press('End');
  await page.keyboard.press('Enter');
  await page.goto(`${url}/jobs/van-2/trace?check=battery-rest`);
  await page.waitForSelector('#reading');
  await page.type('#reading', '12.5');
  await pressed(page, 'Understood');
  await pressed(page, 'Save reading');
  await sees(page, '2 entries wait');
  await page.goto(`${url}/waiting`);
  await sees(page, 'Waiting to go up');
  await taken(page, 'waiting-phone');
}

// The practice bench: a check in hand, and the review of a way that bought a coil in vain.
{
  const post = async (path, body) =>
    (
      await fetch(`${url}/api${path}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json', 'x-pondu': '1' },
        body: JSON.stringify(body),
      })
    ).json();
  let lesson = await post('/practice', { course: 3 });
  const move = async (ask) =>
    (lesson = await post(`/practice/${lesson.id}/moves`, { place: lesson.moves.length, ask }));
  const check = (checkId) => move({ kind: 'check', checkId, understood: true });
  await check('battery-rest');
  const page = await opened();
  await page.goto(`${url}/practice/${lesson.id}`, { waitUntil: 'networkidle2' });
  await sees(page, 'What will you check?');
  await page.locator('::-p-text(Battery volts, cranking)').click();
  await pressed(page, 'Understood');
  await page.locator('::-p-text(Do it)').click();
  await sees(page, 'as it should be');
  await page.locator('::-p-text(What was it worth?)').click();
  await sees(page, 'bits were open');
  await page.evaluate(() => document.documentElement.scrollTo(0, 0));
  await taken(page, 'practice');
  lesson = await (await fetch(`${url}/api/practice/${lesson.id}`)).json();
  await check('lead-1-ohms');
  await check('spark-plug-lead');
  await move({ kind: 'fit', repairId: 'coil.replace' });
  await check('coil-minus-closed');
  await check('look-points');
  await move({ kind: 'fit', repairId: 'points.dress' });
  await check('try-it');
  await move({ kind: 'end' });
  const review = await opened();
  await review.goto(`${url}/practice/${lesson.id}`, { waitUntil: 'networkidle2' });
  await sees(review, 'how it went');
  await taken(review, 'practice-review');
}
await browser.close();
for (const server of servers) server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
