import { thumb } from '/work/shared/play/thumb.mjs';
const t = await thumb('http://127.0.0.1:4310/visits', { shots: '/tmp/w/shots' });
const step = async (n, f) => { try { await f(); console.log('ok', n, JSON.stringify(t.count())); } catch (e) { console.log('FAIL', n, e.message.slice(0, 300)); console.log(await t.look()); throw e; } };
await step('begin', async () => { await t.tap('Begin a visit'); });
console.log(await t.look());
console.log(Object.keys(t));
await t.end();
