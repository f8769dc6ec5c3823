import { chromium } from '@playwright/test';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const ctx = await b.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, baseURL: 'http://127.0.0.1:4310' });
const page = await ctx.newPage();
page.on('pageerror', (e) => console.log('ERR', e.message));
const r = await page.request.post('/api/demo/sign-in', { data: { person: 'odalys' } }); console.log(r.status());
const ms = await (await page.request.get('/api/machines')).json();
console.log(ms.rows?.slice(0,12).map((m)=>[m.appliance.id,m.appliance.name,m.appliance.kind]).join(' | '));
const id = process.argv[2] ?? ms.rows.find((m)=>m.appliance.kind==='walkIn').appliance.id;
await page.goto(`/machines/${id}`);
await page.getByRole('link', { name: 'Begin a visit' }).click();
await page.getByRole('dialog').getByRole('button', { name: 'Begin', exact: true }).click();
await page.getByRole('button', { name: /All steps$/ }).click();
await page.getByRole('dialog').getByRole('link', { name: 'Isolate or recover' }).click();
await page.waitForTimeout(600);
await page.screenshot({ path: '/tmp/w/p1.png' });
await page.getByRole('button', { name: 'Not how it is piped?' }).click();
await page.waitForTimeout(300);
await page.screenshot({ path: '/tmp/w/p2.png' });
await page.getByRole('button', { name: /^Drier/ }).first().click();
await page.waitForTimeout(300);
await page.screenshot({ path: '/tmp/w/p3.png' });
await page.getByRole('button', { name: /Liquid line to/ }).first().click();
await page.waitForTimeout(300);
await page.screenshot({ path: '/tmp/w/p4.png' });
await page.getByRole('button', { name: 'Ball valve' }).click();
await page.waitForTimeout(900);
await page.screenshot({ path: '/tmp/w/p5.png' });
// second coil, second compressor
for (const n of [/^Evaporator coil/, /^Compressor/]) {
  await page.getByRole('button', { name: n }).first().click();
  await page.getByRole('button', { name: 'A second one beside it' }).click();
  await page.waitForTimeout(900);
}
await page.screenshot({ path: '/tmp/w/p6.png', fullPage: true });
// shut both added valves
await page.getByRole('button',{name:'It is drawn as it stands'}).click();
for (const n of [/^Ball valve, unit/, /^Suction service valve, unit/]) { await page.getByRole('button',{name:n}).first().click(); await page.waitForTimeout(200); await page.getByRole('button',{name:'Shut',exact:true}).click(); await page.waitForTimeout(900);}
await page.getByRole('button',{name:/^Suction service valve, unit/}).first().click(); await page.waitForTimeout(300); await page.screenshot({path:'/tmp/w/p7.png'}); await page.getByRole('button',{name:'It does not hold'}).click(); await page.waitForTimeout(900);
await page.screenshot({path:'/tmp/w/p8.png'});
await page.getByRole('button',{name:/All steps/}).click(); await page.getByRole('dialog').getByRole('link',{name:'Evacuate'}).click(); await page.waitForTimeout(700); await page.screenshot({path:'/tmp/w/p9.png'});
await page.getByRole('button',{name:/All steps/}).click(); await page.getByRole('dialog').getByRole('link',{name:'Test it under pressure'}).click().catch(()=>0); await page.waitForTimeout(700);
await b.close();
