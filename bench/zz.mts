import { launch, openWindow } from '/work/main/e2e/browser.ts';
import { TestServer } from '/work/main/e2e/server.ts';
const server = new TestServer(); const url = await server.start();
await (await fetch(url + '/api/jobs?stage=open&limit=30')).text(); await new Promise(r => setTimeout(r, 9000));
const b = await launch();
for (let k = 0; k < 3; k++) {
const { page, context } = await openWindow(b, { width: 390, height: 844 });
const c = await page.createCDPSession(); await c.send('Emulation.setCPUThrottlingRate', { rate: 4 });
await page.evaluateOnNewDocument(() => { (window as any).longs = []; new PerformanceObserver(l => (window as any).longs.push(...l.getEntries().map(e => [Math.round(e.startTime), Math.round(e.duration)]))).observe({ type: 'longtask', buffered: true });
 const check = () => { if (document.querySelectorAll('li.card h2').length >= 3) (window as any).shown = performance.now(); else requestAnimationFrame(check); }; requestAnimationFrame(check); });
await page.goto(url + '/', { waitUntil: 'domcontentloaded' });
await page.waitForFunction(() => (window as any).shown);
console.log(JSON.stringify(await page.evaluate(() => ({ shown: (window as any).shown, longs: (window as any).longs, res: performance.getEntriesByType('resource').map(r => [r.name.replace(/.*\//, ''), Math.round(r.startTime), Math.round((r as any).responseEnd), (r as any).transferSize]), dcl: performance.getEntriesByType('navigation')[0].toJSON().domContentLoadedEventEnd, fp: performance.getEntriesByType('paint').map(p => [p.name, p.startTime]) }))));
await context.close();
}
await b.close(); await server.remove();
