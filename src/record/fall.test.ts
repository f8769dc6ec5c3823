/** A pressure by its fall; figures by hand. */
import { describe, expect, test } from 'vitest';
import { afterFall } from './fall';

const SEA = 101_325;
const PSI = 6894.757293168;
const before = { typed: '150 psig', si: SEA + 150 * PSI, unit: 'psig' };

describe('a pressure that is told by its fall', () => {
  test('is what the gauge shows now, with what was typed beside it', () => {
    const told = afterFall(before, '4', 'psi', SEA);
    expect(told).toMatchObject({ value: { typed: '146 psig (fell by 4 psi)', unit: 'psig' } });
    expect('value' in told && (told.value.si - SEA) / PSI).toBeCloseTo(146, 9);
  });
  test('may be told in another unit than the gauge has', () => {
    expect(afterFall(before, '0.5 bar', 'psi', SEA)).toMatchObject({
      value: { typed: '142.7 psig (fell by 0.5 bar)' },
    });
  });
  test('did not fall by more than there was, nor by a word', () => {
    expect(afterFall(before, '170', 'psi', SEA)).toHaveProperty('error');
    expect(afterFall(before, 'little', 'psi', SEA)).toHaveProperty('error');
  });
});
