/**
 * A second, naive reading of the rules for tests: slow and obvious. Dates are texts, weights are fractions, the
 * figures stand in the code, and each day from the first to the last is walked. It shares nothing with the
 * engine, so that the two agree only where both read the handbook alike.
 */
import compositions from '../refrigerant/compositions.json';

export interface Row {
  [field: string]: unknown;
  id: string;
  kind: string;
  on: string;
}

const DAY = 86_400_000;
const ms = (d: string): number => Date.parse(`${d}T00:00:00Z`);
const text = (value: number): string => new Date(value).toISOString().slice(0, 10);
export const plus = (d: string, n: number): string => text(ms(d) + n * DAY);
const gap = (a: string, b: string): number => (ms(b) - ms(a)) / DAY;
const later = (a: string, b: string): string => (a > b ? a : b);

function months(d: string, n: number): string {
  const [y = 0, m = 0, day = 0] = d.split('-').map(Number);
  for (let tryDay = day; ; tryDay -= 1) {
    const date = new Date(Date.UTC(y, m - 1 + n, tryDay));
    if (date.getUTCDate() === tryDay) return text(date.getTime());
  }
}

// Fractions of grams.
interface F {
  n: bigint;
  d: bigint;
}
const frac = (n: bigint, d = 1n): F => ({ n, d });
const add = (a: F, b: F): F => frac(a.n * b.d + b.n * a.d, a.d * b.d);
const sub = (a: F, b: F): F => add(a, frac(-b.n, b.d));
const mul = (a: F, b: F): F => frac(a.n * b.n, a.d * b.d);
const less = (a: F, b: F): boolean => a.n * b.d < b.n * a.d;
const zero = frac(0n);
const min = (a: F, b: F): F => (less(a, b) ? a : b);
const sum = (list: F[]): F => list.reduce(add, zero);
function dec(value: number): F {
  const [whole = '0', part = ''] = value.toFixed(12).split('.');
  return frac(BigInt(whole + part), 10n ** BigInt(part.length));
}
const PER: Record<string, F> = {
  lb: dec(453.59237),
  oz: frac(28349523125n, 10n ** 9n),
  kg: frac(1000n),
  g: frac(1n),
};
const weigh = (m: unknown): F => {
  const mass = m as { value: number; unit: string };
  return mul(dec(mass.value), PER[mass.unit] ?? zero);
};
const lb = (n: number): F => mul(dec(n), PER['lb'] ?? zero);
/** rounded half up to so many places; never negative here */
const round = (a: F, places: number): number => {
  const scaled = a.n * 10n ** BigInt(places);
  return Number((2n * scaled + a.d) / (2n * a.d)) / 10 ** places;
};

const PLAN_PACKS = ['us-ods', 'us-hfc', 'us-ca'];
const PERCENT_PACKS = ['us-ods', 'us-hfc', 'house'];
const LIMITS: Record<string, number> = {
  commercialRefrigeration: 20,
  industrialProcess: 30,
  comfortCooling: 10,
  other: 10,
};
const FROM: Record<string, string> = {
  'us-ods': '2019-01-01',
  'us-hfc': '2026-01-01',
  'us-ca': '2011-01-01',
  eu: '2024-03-11',
  gb: '2021-01-01',
  house: '0000-01-01',
};

export function naive(site: Row, appliance: Row, all: Row[], T: string) {
  const sites = site['packs'] as string[];
  // -- which entries live, and their order
  const live = all
    .filter((e) => e.kind !== 'void')
    .filter((e) => !all.some((x) => x['supersedes'] === e.id))
    .filter(
      (e) => e['supersedes'] == null || !all.some((x) => x['supersedes'] === e['supersedes'] && x.id > e.id),
    )
    .filter((e) => e.on <= T)
    .sort((a, b) => {
      if (a.on !== b.on) return a.on < b.on ? -1 : 1;
      const at = (e: Row) => (e['at'] == null ? -Infinity : Date.parse(e['at'] as string));
      if (at(a) !== at(b)) return at(a) < at(b) ? -1 : 1;
      return a.id < b.id ? -1 : 1;
    });
  const of = (...kinds: string[]) => live.filter((e) => kinds.includes(e.kind));
  const retired = of('retired')[0]?.on ?? null;

  // -- what is in force on a day
  const record = (d: string) => {
    const state = {
      category: appliance['category'] as string,
      detection: (appliance['automaticDetection'] ?? 'none') as string,
      hermetic: (appliance['hermetic'] ?? false) as boolean,
      light: (appliance['lightCommercialAirConditioning'] ?? false) as boolean,
      gas: appliance['refrigerant'] as string | null,
      F: null as F | null,
    };
    for (const e of live.filter((x) => x.on <= d)) {
      if (e.kind === 'fullChargeSet')
        state.F =
          e['method'] === 'range'
            ? mul(add(weigh(e['low']), weigh(e['high'])), frac(1n, 2n))
            : weigh(e['mass']);
      if (e.kind === 'retrofitted') state.gas = e['toRefrigerant'] as string;
      if (e.kind === 'applianceChanged') {
        state.category = (e['category'] ?? state.category) as string;
        state.detection = (e['automaticDetection'] ?? state.detection) as string;
        state.hermetic = (e['hermetic'] ?? state.hermetic) as boolean;
        state.light = (e['lightCommercialAirConditioning'] ?? state.light) as boolean;
      }
    }
    return state;
  };
  const covers = (d: string): string[] => {
    const r = record(d);
    const mix = compositions.find((c) => c.name === r.gas)?.composition ?? [];
    const has = (kind: string) => mix.some((c) => c.kind === kind);
    const gwp = sum(mix.map((c) => mul(dec(c.massShare), dec(c.gwpAr4))));
    const { F } = r;
    const found = sites.filter((p) => {
      if (F === null || r.gas === null || d < (FROM[p] ?? '')) return false;
      const tonnes = mul(mul(F, gwp), frac(1n, 1_000_000n));
      const ozone = has('CFC') || has('HCFC');
      const hfcTonnes = has('HFC') && !less(tonnes, frac(r.hermetic ? 10n : 5n));
      switch (p) {
        case 'us-ods':
          return ozone && !less(F, lb(50));
        case 'us-hfc':
          return (has('HFC') || (!ozone && less(frac(53n), gwp))) && !less(F, lb(15)) && !r.light;
        case 'us-ca':
          return (
            ['commercialRefrigeration', 'industrialProcess'].includes(r.category) &&
            (!less(gwp, frac(150n)) || ozone) &&
            less(lb(50), F)
          );
        case 'eu':
          return hfcTonnes || (has('HFO') && !has('HFC') && !less(F, frac(r.hermetic ? 2000n : 1000n)));
        case 'gb':
          return hfcTonnes;
        default:
          return false;
      }
    });
    return found.length === 0 && sites.includes('house') ? ['house'] : found;
  };
  const limit = (p: string, d: string): number =>
    p === 'house' ? 15 : ['us-ca', 'eu', 'gb'].includes(p) ? 0 : (LIMITS[record(d).category] ?? 0);
  const method = (d: string): string => {
    const list = ((site['leakRateMethod'] ?? []) as { from: string; method: string }[]).filter(
      (m) => m.from <= d,
    );
    return list.sort((a, b) => (a.from < b.from ? -1 : 1)).at(-1)?.method ?? 'annualizing';
  };

  // -- gas days
  interface Gas {
    on: string;
    net: F;
    unknown: boolean;
    mark: string | null;
  }
  const gas: Gas[] = [];
  let repairBalance = zero;
  let seasonal: { on: string; left: F }[] = [];
  for (const e of live) {
    if (e.kind === 'retrofitted') [repairBalance, seasonal] = [zero, []];
    if (e.kind === 'refrigerantRecovered' && e['mass'] != null) {
      if (e['reason'] === 'repair') repairBalance = add(repairBalance, weigh(e['mass']));
      if (e['reason'] === 'seasonal') seasonal.push({ on: e.on, left: weigh(e['mass']) });
    }
    if (e.kind !== 'refrigerantAdded') continue;
    let counts: F | null = e['mass'] == null ? null : weigh(e['mass']);
    if (e['reason'] === 'commission' || e['reason'] === 'retrofit') counts = zero;
    if (e['reason'] === 'recharge') {
      const paid = counts === null ? repairBalance : min(counts, repairBalance);
      repairBalance = sub(repairBalance, paid);
      if (counts !== null) counts = sub(counts, paid);
    }
    if (e['reason'] === 'seasonal') {
      for (const s of seasonal.filter((x) => e.on < months(x.on, 12))) {
        const paid = counts === null ? s.left : min(counts, s.left);
        s.left = sub(s.left, paid);
        if (counts !== null) counts = sub(counts, paid);
      }
    }
    let day = gas.find((g) => g.on === e.on);
    if (!day)
      gas.push((day = { on: e.on, net: zero, unknown: false, mark: (e['leakId'] ?? null) as string | null }));
    else if (day.mark !== (e['leakId'] ?? null)) day.mark = null;
    if (counts === null) day.unknown = true;
    else day.net = add(day.net, counts);
  }

  // -- leaks, by replaying from the start
  interface Leak {
    id: string;
    state: string;
    repaired: string | null;
    evacuated: boolean;
    first: string | null;
    v: string | null;
  }
  const blank = (id: string): Leak => ({
    id,
    state: 'found',
    repaired: null,
    evacuated: false,
    first: null,
    v: null,
  });
  /** applies one entry to an account; gives the leaks that became open */
  const work = (leaks: Leak[], e: Row, lenient: boolean): Leak[] => {
    const newest = (id: string) => leaks.filter((l) => l.id === id).at(-1);
    const reset = (l: Leak) =>
      Object.assign(l, { state: 'found', repaired: null, evacuated: false, first: null, v: null });
    const opened: Leak[] = [];
    if (e.kind === 'leakFound' || e.kind === 'leakRepaired') {
      let l = newest(e['leakId'] as string);
      if (!l || l.state === 'verified') {
        l = blank(e['leakId'] as string);
        leaks.push(l);
        opened.push(l);
      }
      reset(l);
      if (e.kind === 'leakRepaired')
        Object.assign(l, { state: 'repaired', repaired: e.on, evacuated: e['evacuated'] ?? false });
    }
    if (e.kind === 'verificationTest') {
      const named = (e['leakIds'] ?? []) as string[];
      const whole = named.length === 0;
      const touched = [...new Set(leaks.map((l) => l.id))]
        .map(newest)
        .filter((l): l is Leak => l !== undefined && (whole || named.includes(l.id)));
      for (const l of touched) {
        if (e['result'] === 'pass') {
          if (e['stage'] === 'initial' && l.state === 'repaired')
            Object.assign(l, { state: 'tested', first: e.on });
          else if (e['stage'] === 'followUp' && (l.state === 'tested' || (lenient && l.state === 'repaired')))
            Object.assign(l, { state: 'verified', v: e.on });
        } else if (whole) {
          if (l.state === 'tested') Object.assign(l, { state: 'repaired', first: null });
        } else {
          if (l.state === 'verified') opened.push(l);
          reset(l);
        }
      }
    }
    return opened;
  };
  const shown: string[] = [];
  const strict: Leak[] = [];
  for (const e of live) {
    work(strict, e, false);
    const current = [...new Set(strict.map((l) => l.id))].map((id) =>
      strict.filter((l) => l.id === id).at(-1),
    );
    if (
      e.kind === 'verificationTest' &&
      e['stage'] === 'followUp' &&
      e['result'] === 'pass' &&
      current.every((l) => l?.state === 'verified')
    )
      shown.push(e.on);
  }

  // -- rates by their definitions
  const chainOf = (list: Gas[], index: number): Gas[] => {
    const day = list[index];
    const chain = day ? [day] : [];
    for (let i = index - 1; day?.mark != null && i >= 0; i -= 1) {
      const before = list[i];
      if (!before || before.mark !== day.mark || before.on < plus(day.on, -364)) break;
      chain.unshift(before);
    }
    return chain;
  };
  const daysOf = (list: Gas[], first: string, d: string): { days: number; unknown: boolean } => {
    const before = list.filter((g) => g.on < first).at(-1)?.on ?? null;
    const start = before ?? ((appliance['installedOn'] ?? null) as string | null);
    if (start === null || start >= first) return { days: 365, unknown: true };
    return { days: Math.min(365, gap(start, d)), unknown: false };
  };
  const windowOf = (d: string): Gas[] => {
    const v = shown.filter((s) => s >= plus(d, -364) && s <= plus(d, -1)).at(-1);
    return gas.filter((g) => g.on <= d && g.on >= plus(d, -364) && (v === undefined || g.on > v));
  };
  const weighed = (list: Gas[]): F => sum(list.map((g) => g.net));
  const known = (list: Gas[]): F | null => (list.some((g) => g.unknown) ? null : weighed(list));
  let daysUnknown = false;
  const additions = gas
    .map((g, index) => ({ g, index }))
    .filter(({ g }) => g.unknown || g.net.n > 0n)
    .map(({ g, index }) => {
      const { F } = record(g.on);
      const chain = chainOf(gas, index);
      const lost = known(chain);
      const inWindow = known(windowOf(g.on));
      const days = daysOf(gas, chain[0]?.on ?? g.on, g.on);
      const yearly = (loss: F, charge: F) =>
        round(mul(frac(loss.n * charge.d * 36500n, loss.d * charge.n), frac(1n, BigInt(days.days))), 6);
      const shareOf = (loss: F, charge: F) => round(frac(loss.n * charge.d * 100n, loss.d * charge.n), 6);
      const annualizing = lost && F ? yearly(lost, F) : null;
      const rolling = inWindow && F ? shareOf(inWindow, F) : null;
      if (annualizing !== null && days.unknown) daysUnknown = true;
      const byYear = method(g.on) === 'annualizing';
      const percent = byYear ? annualizing : rolling;
      let atLeast: number | null = null;
      if (percent === null && F) {
        atLeast = byYear ? yearly(weighed(chain), F) : shareOf(weighed(windowOf(g.on)), F);
        if (byYear && atLeast > 0 && days.unknown) daysUnknown = true;
      }
      const exceeds: Record<string, boolean | null> = {};
      if (F)
        for (const p of covers(g.on)) {
          const most = percent ?? atLeast ?? 0;
          exceeds[p] = most > limit(p, g.on) ? true : percent === null ? null : false;
        }
      return {
        on: g.on,
        net: g.net,
        unknown: g.unknown,
        F,
        annualizing,
        rolling,
        method: method(g.on),
        percent,
        atLeast,
        gas: record(g.on).gas,
        exceeds,
      };
    });

  // -- headroom
  const headroom = ((): number | null => {
    const { F } = record(T);
    const limits = covers(T)
      .filter((p) => PERCENT_PACKS.includes(p))
      .map((p) => limit(p, T));
    if (retired !== null || !F || limits.length === 0) return null;
    const allowance = mul(F, dec(Math.min(...limits) / 100));
    const left = (earned: F, used: Gas[]) => {
      if (!less(weighed(used), earned)) return 0;
      return known(used) ? round(sub(earned, weighed(used)), 4) : null;
    };
    if (method(T) === 'rolling') return left(allowance, windowOf(T));
    const last = gas.at(-1);
    const verified = strict.filter((l) => l.id === last?.mark).at(-1)?.state === 'verified';
    const mark = last && !(last.on < T && verified) ? last.mark : null;
    const list = last?.on === T ? gas : [...gas, { on: T, net: zero, unknown: false, mark }];
    const chain = chainOf(list, list.length - 1);
    const days = daysOf(list, chain[0]?.on ?? T, T);
    const free = left(mul(allowance, frac(BigInt(days.days), 365n)), chain);
    if (free !== null && days.unknown) daysUnknown = true;
    return free;
  })();

  const years = [...new Set(additions.map((a) => a.on.slice(0, 4)))].map((year) => {
    const mine = additions.filter((a) => a.on.startsWith(year));
    const share = (list: typeof mine): number | null =>
      list.some((a) => a.net.n > 0n && !a.F)
        ? null
        : round(
            mul(
              sum(
                list
                  .filter((a) => a.net.n > 0n)
                  .map((a) => frac(a.net.n * (a.F?.d ?? 1n), a.net.d * (a.F?.n ?? 1n))),
              ),
              frac(100n),
            ),
            6,
          );
    const percent = share(mine);
    const reached = mine.find((_, i) => (share(mine.slice(0, i + 1)) ?? 0) >= 125)?.on ?? null;
    return {
      year: Number(year),
      net: sum(mine.map((a) => a.net)),
      percent,
      unknown: mine.filter((a) => a.unknown).length,
      reached,
    };
  });

  return {
    live,
    of,
    retired,
    record,
    covers,
    limit,
    gas,
    work,
    additions,
    headroom,
    years,
    daysUnknown,
    sites,
    T,
    PLAN_PACKS,
  };
}

export {
  months as addMonthsTo,
  round as roundFraction,
  later as laterOf,
  less as lessThan,
  lb as pounds,
  mul as times,
  frac as fraction,
  gap as daysBetween,
};
export type { F as Fraction };
