/**
 * Exact decimals as scaled integers.
 *
 * A weight is typed as a decimal and a pound is a decimal number of grams, so every mass in a logbook is an
 * exact decimal. Kept as an integer of 10^-40, sums and comparisons carry no float dust (2.2 lb of 55 lb
 * after 73 days is exactly 20 %, where floats say 20.000000000000004).
 */
export const DECIMALS = 40;
const MICRO = 1e6;
const MAX_EXACT_MICRO = 1e15;

/** Integer `value × 10^places` of the decimal that JSON shows for a finite number; digits beyond are rounded half up. */
export function scaledDecimal(value: number, places: number): bigint {
  const micro = Math.round(value * MICRO);
  // Decimals of at most 15 digits are one-to-one with doubles, so this division proves the short form exact.
  if (places >= 6 && micro < MAX_EXACT_MICRO && micro > -MAX_EXACT_MICRO && micro / MICRO === value) {
    return BigInt(micro) * 10n ** BigInt(places - 6);
  }
  const [mantissa = '0', exponentText = '0'] = String(value).split('e');
  const [whole = '0', fraction = ''] = mantissa.split('.');
  const digits = BigInt(whole + fraction);
  const shift = Number(exponentText) - fraction.length + places;
  if (shift >= 0) return digits * 10n ** BigInt(shift);
  return halfUp(digits, 10n ** BigInt(-shift));
}

/** numerator / denominator rounded to the nearest integer, halves up; denominator > 0. `halfUp(5n, 2n)` // => 3n */
export function halfUp(numerator: bigint, denominator: bigint): bigint {
  const doubled = 2n * numerator + denominator;
  const divisor = 2n * denominator;
  const quotient = doubled / divisor;
  return doubled < 0n && quotient * divisor !== doubled ? quotient - 1n : quotient;
}

const SAFE_QUOTIENT = 1e9;
const NEAR_HALF = 1e-4;

/**
 * factor × numerator / denominator, rounded half up, as a number. A float's quotient is off by some 1e-15 of
 * itself, so it settles every value that is not within 1e-4 of a half; only those are worth the exact division.
 * `roundedQuotient(2n, 3n, 100)` // => 67
 */
export function roundedQuotient(numerator: bigint, denominator: bigint, factor: number): number {
  const guess = (Number(numerator) / Number(denominator)) * factor;
  if (guess < SAFE_QUOTIENT && Math.abs(guess - Math.floor(guess) - 0.5) > NEAR_HALF)
    return Math.round(guess);
  return Number(halfUp(numerator * BigInt(factor), denominator));
}
