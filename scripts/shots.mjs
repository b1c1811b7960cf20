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
  ['bays-dim', '/', 'Morrowick', { theme: 'dim' }],
  ['look', '/jobs/tractor-1/look', 'Suspects', {}],
  ['trace', '/jobs/launch-1/trace?check=coil-minus-closed', 'when well', { typed: '6.2' }],
  [
    'trace-phone',
    '/jobs/launch-1/trace?check=coil-minus-closed',
    'when well',
    { size: PHONE, typed: '6.2', theme: 'dim' },
  ],
  ['trace-branches', '/jobs/pilot-1/trace', 'Suspects', {}],
  ['trace-soak', '/jobs/estate-1/trace', 'Soak test', {}],
  ['yard', '/jobs/pilot-1/yard?check=charge-peak-loaded', 'Measure with', {}],
  ['repair', '/jobs/saloon-1/repair', 'Why:', {}],
  ['set-up', '/jobs/saloon-1/set-up', 'Points gap', {}],
  ['prove', '/jobs/van-1/prove', 'What failed must pass', {}],
  ['card', '/jobs/saloon-1/card', 'Should be', {}],
  ['machine', '/machines/grey-saloon', 'Plate values', {}],
  ['new-machine', '/machines/new', 'What makes', {}],
  ['new-job', '/new', 'Which machine', {}],
  ['shop', '/shop', 'What repairs cost here', {}],
];

const folder = mkdtempSync(join(tmpdir(), 'pondu-shots-'));
const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], {
  env: {
    ...process.env,
    PORT: '0',
    PONDU_DATA: join(folder, 'shots.sqlite'),
    PONDU_LOAD: join(root, 'demo'),
    PONDU_WEB: join(root, 'web/dist'),
  },
  stdio: ['ignore', 'pipe', 'inherit'],
});
const url = await new Promise((resolve) => server.stdout.on('data', (d) => resolve(/http:\/\/\S+/.exec(String(d))[0])));
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
for (const [name, path, text, { theme = 'light', size = WIDE, typed }] of SHOTS) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  await page.setViewport(size);
  await page.evaluateOnNewDocument((t) => {
    localStorage.setItem('pondu.theme', t);
    const known = [
      'high tension',
      'fuel vapour',
      'rotating parts',
      'battery',
      'marine',
      'hot coil',
      'exhaust gas',
      'capacitor charge',
      'flywheel puller',
    ];
    localStorage.setItem('pondu.understood', JSON.stringify(Object.fromEntries(known.map((c) => [c, Date.now()]))));
  }, theme);
  await page.goto(url + path, { waitUntil: 'networkidle2' });
  await page.waitForFunction((t) => document.body.innerText.includes(t), {}, text);
  if (typed) {
    await page.type('#reading', typed);
    await page.waitForFunction(() => document.body.innerText.includes('with what you are typing'));
  }
  // Until every bay and ruler has been worked out.
  await page.waitForFunction(() => !/Working (it|out)/.test(document.body.innerText));
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await page.screenshot({ path: join(out, `${name}.png`) });
  await context.close();
  console.log(`docs/screenshots/${name}.png`);
}
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
