/** The naive reading, continued: cases and obligations, day by day. */
import compositions from '../refrigerant/compositions.json';
import {
  type Row,
  addMonthsTo as months,
  daysBetween as gap,
  fraction,
  laterOf as later,
  lessThan as less,
  naive,
  plus,
  pounds as lb,
  roundFraction as round,
  times,
} from './naive';

interface Leak {
  id: string;
  state: string;
  repaired: string | null;
  evacuated: boolean;
  first: string | null;
  v: string | null;
}
interface Case {
  pack: string;
  opened: string;
  leaks: Leak[];
  whole: Leak;
  shutdown: boolean;
  extension: Row | null;
  filed: string | null;
  decidedFor: string | null;
  again: string | null;
  stuck: boolean;
  closed: string | null;
  because: string | null;
  alive: Leak[];
}

export function naiveDocument(site: Row, appliance: Row, all: Row[], T: string) {
  const n = naive(site, appliance, all, T);
  const { of, record, covers, additions, retired, gas } = n;
  const obligations: {
    pack: string;
    kind: string;
    due: string;
    doneOn: string | null;
    state: string;
    caseOpenedOn: string | null;
  }[] = [];
  const oblige = (
    pack: string,
    kind: string,
    due: string,
    doneOn: string | null,
    ended: boolean,
    opened: string | null,
  ) => {
    const state = doneOn
      ? 'done'
      : ended
        ? 'void'
        : due < T
          ? 'overdue'
          : due <= plus(T, 7)
            ? 'dueSoon'
            : 'upcoming';
    obligations.push({ pack, kind, due, doneOn, state, caseOpenedOn: opened });
  };

  const pausesUntil = (until: string) => {
    const list: [string, string][] = [];
    for (const m of of('mothballed').map((e) => e.on)) {
      const last = list.at(-1);
      if (last && m < last[1]) continue;
      list.push([m, gas.find((g) => g.on > m)?.on ?? '9999-12-31']);
    }
    return list
      .map(([m, end]): [string, string] => [m, end < until ? end : until])
      .filter(([m]) => m <= until);
  };
  const shifted = (due: string, start: string, until: string): string =>
    pausesUntil(until).reduce(
      (d, [m, end]) => (d >= m ? plus(d, Math.max(0, gap(later(m, start), end))) : d),
      due,
    );

  const casesOf = (pack: string): Case[] => {
    const answered = new Map<string, string>();
    restart: for (;;) {
      const cases: Case[] = [];
      const leaks: Leak[] = [];
      const lenient = pack === 'eu' || pack === 'gb';
      const anyLeak = lenient || pack === 'us-ca';
      const openLeaks = () =>
        [...new Set(leaks.map((l) => l.id))]
          .flatMap((id) => leaks.filter((l) => l.id === id).slice(-1))
          .filter((l) => l.state !== 'verified');
      const running = () => (cases.at(-1)?.closed === null ? cases.at(-1) : undefined);
      const counted = (c: Case) => (c.leaks.length ? c.leaks : [c.whole]);
      const v = (c: Case) =>
        counted(c).every((l) => l.state === 'verified')
          ? (counted(c)
              .map((l) => l.v ?? '')
              .sort()
              .at(-1) ?? null)
          : null;
      const close = (because: string, on: string) => {
        const c = running();
        if (!c) return;
        Object.assign(c, {
          closed: on,
          because,
          alive: c.leaks,
          leaks: c.leaks.map((l) => ({ ...l })),
          whole: { ...c.whole },
        });
      };
      const open = (on: string) =>
        cases.push({
          pack,
          opened: on,
          leaks: openLeaks(),
          whole: { id: '', state: 'repaired', repaired: null, evacuated: false, first: null, v: null },
          shutdown: false,
          extension: null,
          filed: null,
          decidedFor: null,
          again: null,
          stuck: false,
          closed: null,
          because: null,
          alive: [],
        });
      const join = (c: Case) => openLeaks().forEach((l) => c.leaks.includes(l) || c.leaks.push(l));
      const firstDay = n.live[0]?.on ?? T;
      for (let d = firstDay; d <= T; d = plus(d, 1)) {
        const a = additions.find((x) => x.on === d);
        if (a && !anyLeak) {
          const said = pack in a.exceeds ? a.exceeds[pack] : false;
          const exceeds = said === true ? true : a.unknown ? null : said;
          const c = running();
          if (!c) {
            if (exceeds === true && (retired === null || d <= retired)) open(d);
          } else if (v(c) !== null && c.decidedFor !== v(c) && c.again === null) {
            if (exceeds === null) c.stuck = true;
            else {
              c.decidedFor = v(c);
              if (!exceeds) {
                if (!c.filed) close('confirmed', d);
              } else if ([...answered.values()].includes(d)) {
                close('unrelated', d);
                open(d);
              } else if (pack === 'house') {
                close('exceeded', d);
                open(d);
              } else {
                c.again = d;
              }
            }
          }
        }
        for (const e of n.live.filter((x) => x.on === d)) {
          if (e.kind === 'retrofitted') close('retrofitted', d);
          if (!['leakFound', 'leakRepaired', 'verificationTest'].includes(e.kind)) continue;
          const opened = n.work(leaks, e, lenient);
          const c = running();
          if (c) {
            if (
              e.kind === 'verificationTest' &&
              c.leaks.length === 0 &&
              ((e['leakIds'] ?? []) as string[]).length === 0
            ) {
              if (e['result'] === 'pass' && e['stage'] === 'initial' && c.whole.state === 'repaired')
                Object.assign(c.whole, { state: 'tested', first: d });
              else if (e['result'] === 'pass' && e['stage'] === 'followUp' && c.whole.state === 'tested')
                Object.assign(c.whole, { state: 'verified', v: d });
              else if (e['result'] === 'fail' && c.whole.state === 'tested')
                Object.assign(c.whole, { state: 'repaired', first: null });
            }
            if (anyLeak || v(c) === null) join(c);
            if (v(c) === null) c.stuck = false;
          } else if (
            anyLeak &&
            opened.length > 0 &&
            covers(d).includes(pack) &&
            (retired === null || d <= retired)
          )
            open(d);
          const now = running();
          if (now && anyLeak && !now.filed && v(now) !== null) close('verified', d);
        }
        for (const e of n.live.filter((x) => x.on === d && (x['pack'] == null || x['pack'] === pack))) {
          const last = cases.at(-1);
          const c = last && (last.closed === null || last.closed === d) ? last : undefined;
          if (!c) continue;
          if (e.kind === 'processShutdown') c.shutdown = true;
          if (e.kind === 'extension') c.extension = e;
          if (e.kind === 'planFiled' && n.PLAN_PACKS.includes(pack)) {
            c.filed ??= d;
            if (c.because === 'verified') Object.assign(c, { closed: null, because: null, leaks: c.alive });
          }
          if (e.kind === 'planCompleted' && c.closed === null && c.filed) close('planCompleted', d);
          if (
            e.kind === 'unrelatedLeak' &&
            c.again &&
            !answered.has(e.id) &&
            (!c.filed || c.filed >= c.again)
          ) {
            answered.set(e.id, c.again);
            continue restart;
          }
        }
        if (d === retired) close('retired', d);
        const c = running();
        const verified = c && v(c);
        if (
          c &&
          !anyLeak &&
          verified &&
          c.decidedFor !== verified &&
          !c.stuck &&
          !c.filed &&
          !c.again &&
          months(verified, 12) === d
        )
          close('presumed', d);
      }
      return cases;
    }
  };

  const listed: { c: Case; row: Record<string, string | null> }[] = [];
  for (const pack of n.sites) {
    const mine = casesOf(pack);
    const passedV: (string | null)[] = [];
    for (const c of mine) {
      const until = c.closed ?? T;
      const counted = c.leaks.length ? c.leaks : [c.whole];
      const latest = (list: (string | null)[]) =>
        list.includes(null)
          ? null
          : (list
              .map((x) => x ?? '')
              .sort()
              .at(-1) ?? null);
      const first = latest(counted.map((l) => l.first));
      const v = counted.every((l) => l.state === 'verified') ? latest(counted.map((l) => l.v)) : null;
      const repaired =
        c.leaks.length === 0
          ? first
          : c.leaks.some((l) => l.state === 'found')
            ? null
            : latest(c.leaks.map((l) => l.repaired));
      passedV.push(v);
      const federal = pack === 'us-ods' || pack === 'us-hfc';
      const stop =
        c.shutdown && ((federal && record(c.opened).category === 'industrialProcess') || pack === 'us-ca');
      const window = plus(
        c.opened,
        federal ? (stop ? 120 : 30) : pack === 'us-ca' ? (stop ? 45 : 14) : pack === 'house' ? 30 : 14,
      );
      let repairDue = window;
      const x = c.extension;
      if (x && x['ground'] === 'parts' && federal) {
        const cap = plus(c.opened, stop ? 270 : 180);
        const came = x['partsDeliveredOn'] as string | null | undefined;
        const wanted = came ? (plus(came, 30) < cap ? plus(came, 30) : cap) : cap;
        repairDue = later(window, wanted);
      } else if (x && x['ground'] === 'parts' && pack === 'us-ca')
        repairDue = later(window, plus(c.opened, 45));
      else if (x && x['ground'] !== 'parts' && federal) repairDue = later(window, x['until'] as string);
      repairDue = shifted(repairDue, c.opened, until);

      const dayOf = (l: Leak): string | null => {
        if (pack === 'eu' || pack === 'gb') return l.repaired && months(l.repaired, 1);
        const passed = l.first;
        if (passed === null) return null;
        const ran = of('normalOperation').filter((e) => e.on >= passed && e.on <= (l.v ?? until));
        const start = (l.evacuated ? ran[0]?.on : undefined) ?? passed;
        return shifted(plus(start, federal ? 10 : pack === 'us-ca' ? 14 : 30), start, until);
      };
      const asked = (some: Leak[]) =>
        some
          .map(dayOf)
          .filter((d): d is string => d !== null)
          .sort();
      const pending = counted.filter((l) => l.state !== 'verified');
      const followUpDue = (pending.length > 0 ? asked(pending)[0] : asked(counted).at(-1)) ?? null;
      const over = c.closed !== null || c.filed !== null;
      oblige(pack, 'repair', repairDue, repaired, over, c.opened);
      if (pack !== 'eu' && pack !== 'gb') oblige(pack, 'initialTest', repairDue, first, over, c.opened);
      if (followUpDue) oblige(pack, 'followUpTest', followUpDue, v, over, c.opened);
      const late = until > repairDue && (first === null || first > repairDue);
      if (n.PLAN_PACKS.includes(pack) && (late || c.again || c.filed)) {
        const start = pack === 'us-ca' ? c.opened : (c.again ?? repairDue);
        const due = shifted(plus(start, pack === 'us-ca' ? 60 : 30), start, until);
        oblige(pack, 'plan', due, c.filed, c.closed !== null || (!c.again && first !== null), c.opened);
        if (c.filed) {
          const done = ['planCompleted', 'retrofitted', 'retired'].includes(c.because ?? '')
            ? c.closed
            : null;
          oblige(
            pack,
            'planDone',
            months(c.filed, pack === 'us-ca' ? 6 : 12),
            done,
            c.closed !== null,
            c.opened,
          );
        }
      }
      const state = c.closed
        ? 'closed'
        : (c.filed ?? c.again)
          ? 'plan'
          : v
            ? 'verified'
            : first
              ? 'tested'
              : n.PLAN_PACKS.includes(pack) && T > repairDue
                ? 'plan'
                : 'open';
      listed.push({
        c,
        row: {
          pack,
          openedOn: c.opened,
          state,
          repairDue,
          initialPassedOn: first,
          followUpDue,
          followUpPassedOn: v,
          closedOn: c.closed,
          closedBecause: c.because,
        },
      });
    }
    if (pack !== 'us-ods' && pack !== 'us-hfc') continue;
    mine.forEach((c, index) => {
      const v = passedV[index];
      if (v == null) return;
      const r = record(v);
      if (!r.F) return;
      const quarterly =
        ['commercialRefrigeration', 'industrialProcess'].includes(r.category) && !less(r.F, lb(500));
      if (!quarterly && less(r.F, lb(pack === 'us-ods' ? 50 : 15))) return;
      const v2 = passedV.slice(index + 1).find((x) => x != null) ?? null;
      const step = quarterly ? 3 : 12;
      const bad = additions
        .filter((a) => a.exceeds[pack] === true && a.on > v && (v2 === null || a.on <= v2))
        .map((a) => a.on);
      const quiet = quarterly ? 4 : 1;
      let k = quiet;
      while (bad.some((d) => d > months(v, step * (k - quiet)) && d <= months(v, step * k))) k += 1;
      const stops = [...of('retrofitted', 'retired').map((e) => e.on)].filter((d) => d >= v).sort();
      for (let i = 1; i <= k; i += 1) {
        const due = months(v, step * i);
        if (
          record(due).detection === 'whole' &&
          of('detectionCheck').some((e) => e.on <= due && due <= months(e.on, 12))
        )
          continue;
        const ends = [stops[0], v2 !== null && due > v2 ? v2 : undefined]
          .filter((d): d is string => d !== undefined)
          .sort();
        const done =
          of('leakInspection').find(
            (e) => e['allAccessibleInspected'] !== false && e.on > months(v, step * (i - 1)),
          )?.on ?? null;
        oblige(
          pack,
          'inspection',
          due,
          done !== null && (ends[0] === undefined || done <= ends[0]) ? done : null,
          ends.length > 0,
          c.opened,
        );
      }
    });
  }

  // -- without a case
  const now = record(T);
  const mix = compositions.find((c) => c.name === now.gas)?.composition ?? [];
  const looked = of('leakInspection').filter((e) => e['allAccessibleInspected'] !== false);
  const installed = (appliance['installedOn'] ?? null) as string | null;
  const begun = (appliance['recordFrom'] ?? null) as string | null;
  const FROM: Record<string, string> = { 'us-ca': '2011-01-01', eu: '2024-03-11', gb: '2021-01-01' };
  for (const pack of retired === null ? covers(T) : []) {
    if (!['us-ca', 'eu', 'gb', 'house'].includes(pack)) continue;
    const { F } = now;
    let every = 12;
    if (pack === 'us-ca' && F) {
      if (!less(F, lb(2000)) && now.detection === 'whole') continue;
      every = !less(F, lb(2000)) ? 1 : !less(F, lb(200)) ? 3 : 12;
    }
    if ((pack === 'eu' || pack === 'gb') && F) {
      if (mix.some((c) => c.kind === 'HFC')) {
        const tonnes = mix.map((c) =>
          times(
            F,
            fraction(
              BigInt(Math.round(c.massShare * 1000)) * BigInt(Math.round(c.gwpAr4 * 10)),
              10_000_000_000n,
            ),
          ),
        );
        const total = tonnes.reduce((s, x) => ({ n: s.n * x.d + x.n * s.d, d: s.d * x.d }), fraction(0n));
        every = !less(total, fraction(500n)) ? 3 : !less(total, fraction(50n)) ? 6 : 12;
      } else every = !less(F, fraction(100_000n)) ? 3 : !less(F, fraction(10_000n)) ? 6 : 12;
      if (now.detection !== 'none') every *= 2;
    }
    const from = FROM[pack] ?? null;
    if (pack === 'house' && looked.length === 0 && installed === null && begun === null) continue;
    const since = looked.at(-1)?.on ?? [from, installed, begun].map((d) => d ?? '').sort()[2];
    if (!since) continue;
    const due = later(months(since, every), begun ?? '');
    if (
      pack === 'us-ca' &&
      record(due).detection === 'whole' &&
      of('detectionCheck').some((e) => e.on <= due && due <= months(e.on, 12))
    )
      continue;
    oblige(pack, 'inspection', due, null, false, null);
  }
  for (const a of additions) {
    if (a.unknown || !a.F || !covers(a.on).includes('us-ca') || a.on < (begun ?? '')) continue;
    if (less(a.net, lb(5)) || less(times(a.net, fraction(100n)), a.F)) continue;
    const done = looked.find((e) => e.on >= a.on)?.on ?? null;
    oblige(
      'us-ca',
      'inspection',
      a.on,
      done !== null && (retired === null || done <= retired) ? done : null,
      retired !== null,
      null,
    );
  }
  if (
    retired === null &&
    covers(T).includes('us-hfc') &&
    installed !== null &&
    installed >= '2017-01-01' &&
    now.F &&
    !less(now.F, lb(1500)) &&
    ['commercialRefrigeration', 'industrialProcess'].includes(now.category)
  ) {
    const fit = installed < '2026-01-01' ? '2027-01-01' : plus(installed, 30);
    if (now.detection === 'none') oblige('us-hfc', 'detection', fit, null, false, null);
    else
      oblige(
        'us-hfc',
        'detectionCheck',
        months(of('detectionCheck').at(-1)?.on ?? fit, 12),
        null,
        false,
        null,
      );
  }
  for (const year of n.years) {
    for (const pack of ['us-ods', 'us-hfc']) {
      if (year.reached === null || !covers(year.reached).includes(pack) || !n.sites.includes(pack)) continue;
      if (`${String(year.year)}-01-01` < (pack === 'us-ods' ? '2019-01-01' : '2026-01-01')) continue;
      oblige(
        pack,
        'chronicReport',
        `${String(year.year + 1)}-03-01`,
        of('reportFiled').find((e) => e['year'] === year.year)?.on ?? null,
        false,
        null,
      );
    }
  }

  const key = (o: (typeof obligations)[number]) =>
    [o.due, o.pack, o.kind, o.caseOpenedOn ?? '0000'].join(' ');
  const notes = [
    ...(n.daysUnknown ? ['daysUnknown'] : []),
    ...(now.F === null || additions.some((a) => a.F === null) ? ['fullChargeUnknown'] : []),
    ...(of('refrigerantRecovered').some((e) => e['mass'] == null) ? ['recoveredUnknown'] : []),
    ...(now.gas === null || additions.some((a) => a.gas === null) ? ['refrigerantUnknown'] : []),
    ...(additions.some((a) => a.unknown) ? ['weightUnknown'] : []),
  ];
  return {
    id: appliance.id,
    packs: covers(T),
    fullChargeGrams: now.F && round(now.F, 4),
    additions: additions.map((a) => ({
      on: a.on,
      netGrams: a.unknown ? null : round(a.net, 4),
      annualizingPercent: a.annualizing,
      rollingPercent: a.rolling,
      method: a.method,
      percent: a.percent,
      atLeastPercent: a.atLeast,
      exceeds: a.exceeds,
    })),
    cases: listed
      .sort((a, b) =>
        a.c.opened + a.c.pack < b.c.opened + b.c.pack
          ? -1
          : a.c.opened + a.c.pack > b.c.opened + b.c.pack
            ? 1
            : 0,
      )
      .map((l) => l.row),
    obligations: obligations.sort((a, b) => (key(a) < key(b) ? -1 : key(a) > key(b) ? 1 : 0)),
    headroom: { grams: n.headroom, asOf: T },
    calendarYears: n.years.map((y) => ({
      year: y.year,
      netGrams: round(y.net, 4),
      percent: y.percent,
      chronic: (y.percent ?? 0) >= 125,
      unknownAdditions: y.unknown,
    })),
    notes,
  };
}
