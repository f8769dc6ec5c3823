import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const ctx = await b.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: 'http://127.0.0.1:4310' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
await page.request.post('/api/demo/sign-in', { data: { person: 'odalys' } });
for (const id of ['rack-b', 'comfort-chiller', 'kiosk-cooler']) {
  await page.goto(`/machines/${id}`);
  const svg = page.getByRole('group', { name: /Circuit map/ });
  await svg.waitFor();
  await svg.scrollIntoViewIfNeeded();
  await svg.screenshot({ path: `/tmp/w/m-${id}.png` });
}
await b.close();
