/** Every answer of the server is what the table of endpoints says. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { z } from 'zod';
import { ENDPOINTS, type Endpoint, FILE, addressOf } from '../../contract/endpoints';
import { type ServedStory, serveStory } from '../../demo/servedStory';

describe('every answer is what the table says', () => {
  let story: ServedStory;
  beforeAll(async () => {
    story = await serveStory('2026-11-23');
    const { token } = await story.accounts.joining.invite({ personId: 'ike', role: 'technician' });
    QUERIES['invitation'] = { token };
  }, 60_000);
  afterAll(() => story.close());

  const PARTS: Record<string, string> = {
    id: 'rack-a',
    kind: 'rack',
    refrigerant: 'R-507A',
    table: 'appliances',
  };
  const QUERIES: Record<string, Record<string, string>> = {
    spaces: { site: 'fish-hall' },
    paperPreview: { document: 'machineRecord', machine: 'rack-a' },
  };
  const asked = (Object.entries(ENDPOINTS) as [string, Endpoint][]).filter(
    // The state of an import needs one: it is called in description.test.ts.
    ([name, { method, answer }]) =>
      method === 'GET' && answer !== FILE && !['importState', 'undoPreview'].includes(name),
  );

  it.each(asked)('%s', async (name, { path, answer }) => {
    const parts = name === 'site' ? { id: 'fish-hall' } : PARTS;
    const query = QUERIES[name] ?? {};
    const body = await story.get(addressOf(path, parts, query));
    const read = (answer as z.ZodType).safeParse(body);
    expect(read.error?.issues ?? []).toEqual([]);
    // Nothing that the table does not name: what the contract leaves out would be lost on the way.
    expect(Object.keys((read.data ?? {}) as object).sort()).toEqual(
      Object.keys((body ?? {}) as object).sort(),
    );
  });

  it('pages of every list go on to an end', async () => {
    for (const path of ['/machines', '/due', '/due/trips', '/leaking', '/sites', '/cylinders', '/visits']) {
      let after = '';
      let pages = 0;
      do {
        const page = (await story.get(`${path}?limit=7${after === '' ? '' : `&after=${after}`}`)) as {
          rows: unknown[];
          next: string | null;
        };
        after = page.next ?? '';
        pages += 1;
        if (after !== '') expect(page.rows).toHaveLength(7);
      } while (after !== '' && pages < 50);
      expect([path, after]).toEqual([path, '']);
    }
  });
});
