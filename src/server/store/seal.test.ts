/** Canonical JSON by the quick writer against the standard's own: seals of years ago must hold for ever. */
import fc from 'fast-check';
import canonicalize from 'canonicalize';
import { describe, expect, it } from 'vitest';
import type { Entry } from '../../core/logbook/entry';
import { CHAIN_START, canonical, contentOf, sealHash, sealedText } from './seal';

const json = fc.jsonValue({ maxDepth: 4 });

describe('canonical JSON', () => {
  it('is that of RFC 8785 for whatever JSON can hold', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string({ unit: 'binary' }), json), (value) => {
        const read = JSON.parse(JSON.stringify(value)) as object;
        expect(canonical(read)).toBe(canonicalize(read));
      }),
      { numRuns: 500, seed: 11 },
    );
  });
  it.each([
    [{ b: 1, a: 2, '\u00e9': 3, Z: 4 }, '{"Z":4,"a":2,"b":1,"é":3}'],
    [
      { n: 1e21, m: 0.000001, z: -0, k: 333333333.33333329 },
      '{"k":333333333.3333333,"m":0.000001,"n":1e+21,"z":0}',
    ],
    [{ text: '\u0007 "x" \n €' }, '{"text":"\\u0007 \\"x\\" \\n €"}'],
    [{ gone: undefined, kept: null, list: [3, { y: 1, x: 2 }] }, '{"kept":null,"list":[3,{"x":2,"y":1}]}'],
  ])('%j', (value, wanted) => {
    expect(canonical(value)).toBe(wanted);
  });
});

it('the stored text of an entry reads as the entry with its seal, whatever stood in its seal before', () => {
  const entry = {
    id: 'x',
    kind: 'search',
    on: '2026-01-01',
    by: 'p',
    applianceId: 'a',
    seal: { hash: 'old', previous: 'older' },
  } as unknown as Entry;
  const { hash, document } = sealedText(entry, CHAIN_START);
  expect(JSON.parse(document)).toEqual({ ...entry, seal: { hash, previous: CHAIN_START } });
  expect(hash).toBe(sealHash(JSON.parse(document) as Entry, CHAIN_START));
  expect(contentOf(entry)).not.toContain('older');
});
