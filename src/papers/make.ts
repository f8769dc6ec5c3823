/** Makes the papers that are asked for, from whatever holds the record: a logbook file or the database. */
import type { DocumentKind, PaperRequest } from '../contract/papers';
import type { Entry, EntryKind, EntryOf } from '../core/logbook/entry';
import { ownedIn, ownerOn } from '../core/logbook/ownership';
import { supersededIds } from '../core/logbook/order';
import type { PackId } from '../core/logbook/packNames';
import { type Day, dayOf, dayText, newYearsDay } from '../core/quantity/day';
import { loadSaturation } from '../core/refrigerant/tables';
import { type Result, ok, refused } from '../core/result';
import type { CaseStanding } from '../core/rules/caseDeadlines';
import type { Standing } from '../core/rules/standing';
import { visitRecord } from '../core/visit/visitRecord';
import { type FoldedMachine, type MachineRows, foldedMachine } from '../record/foldedMachine';
import { PACK_WORDS } from '../words/codes';
import { dateWords } from '../words/dates';
import { cylindersIn } from '../words/names';
import type { PaperContext } from './beside';
import { type Answers, PLAN_ASKS, extension, inspection, plan } from './entryPapers';
import { chronicReport, fullCharge, seasonalMoves } from './gasPapers';
import { leakRepairFile } from './leakRepairFile';
import { WHOLE, machineRecord } from './machineRecord';
import { type MadeDocument, type Records, isAfter, made } from './made';
import type { Paper } from './paper';
import { serviceRecord } from './serviceRecord';
import { type MachineYear, machineYear, yearlyReport } from './yearlyReport';
import { countWords } from '../words/counts';

type Outcome = Result<MadeDocument, string>;

/** A document of one machine: what it is made from. */
interface MakerInput {
  request: PaperRequest;
  view: FoldedMachine;
  beside: PaperContext;
  answers: Answers;
}
type OfMachine = (asked: MakerInput) => Result<Paper, string>;
type OfRecords = (request: PaperRequest, records: Records) => Promise<Outcome>;

/** A document that is made from one entry of a kind. */
const ofEntry =
  <Kind extends EntryKind>(
    kind: Kind,
    name: string,
    make: (entry: EntryOf<Kind>, asked: MakerInput) => Paper,
  ): OfMachine =>
  (asked) => {
    const { entries } = asked.view.standing.history;
    const entry = entries.find(({ entry: each }) => each.id === asked.request.entry)?.entry;
    if (!entry)
      return refused(
        'This entry was corrected or voided, or lies after the day of the paper; name the one that stands.',
      );
    return entry.kind === kind
      ? ok(make(entry as EntryOf<Kind>, asked))
      : refused(`This entry is no ${name}.`);
  };

/** How each kind of document is made: of one machine, or of whatever the records hold. */
const MAKERS: Readonly<Record<DocumentKind, { ofMachine: OfMachine } | { ofRecords: OfRecords }>> = {
  serviceRecord: { ofRecords: serviceRecords },
  yearly: { ofRecords: yearly },
  machineRecord: {
    ofMachine: ({ request, view, beside }) =>
      ok(
        machineRecord(view, beside, {
          from: request.from === undefined ? WHOLE.from : dayOf(request.from),
          to: request.to === undefined ? WHOLE.to : dayOf(request.to),
        }),
      ),
  },
  leakRepairFile: {
    ofMachine: ({ request, view, beside }) => {
      const found = caseAsked(request, view.standing);
      return found
        ? ok(leakRepairFile(view, found, beside))
        : refused(
            `No case of ${PACK_WORDS[request.pack as PackId]} opened on ${dateWords(request.opened ?? '')} on this machine.`,
          );
    },
  },
  chronicReport: {
    ofMachine: ({ request, view, beside }) => ok(chronicReport(view, request.year ?? 0, beside)),
  },
  fullCharge: { ofMachine: ({ view, beside }) => ok(fullCharge(view, beside)) },
  seasonal: { ofMachine: ({ view, beside }) => ok(seasonalMoves(view, beside)) },
  inspection: {
    ofMachine: ofEntry('leakInspection', 'leak inspection', (entry, { view, beside }) =>
      inspection(view, entry, beside),
    ),
  },
  plan: {
    ofMachine: ofEntry('planFiled', 'plan', (entry, { view, beside, answers }) =>
      plan(view, entry, beside, answers),
    ),
  },
  extension: {
    ofMachine: ofEntry('extension', 'request for more time', (entry, { view, beside }) =>
      extension(view, entry, beside),
    ),
  },
};

export async function makePapers(
  request: PaperRequest,
  records: Records,
  answers: Answers = {},
): Promise<Outcome> {
  const maker = MAKERS[request.document];
  if ('ofRecords' in maker) return maker.ofRecords(request, records);
  const machineId = request.machine ?? (await records.machineOfEntry(request.entry ?? ''));
  if (machineId === null) return refused('The logbook has no such entry.');
  const rows = await records.machine(machineId);
  if (!rows) return refused('The logbook has no such machine.');
  const view = await folded(rows, records, request.asOf);
  const beside = await besideOf(view, records, dayOfPaper(request, view));
  // What was answered for the owner stands in the owner's row.
  const own = Object.fromEntries(Object.entries(answers).filter(([key]) => key in PLAN_ASKS));
  const paper = maker.ofMachine({ request, view, beside, answers: own });
  return paper.ok ? ok(made(request, [paper.value], [view], beside, own)) : paper;
}

async function folded(rows: MachineRows, records: Records, asOf: string | undefined): Promise<FoldedMachine> {
  const day = asOf === undefined ? records.today(rows.site.timezone) : dayOf(asOf);
  const cylinders = await records.cylinders(cylindersIn(rows.entries));
  return foldedMachine(rows, records.packs, day, cylinders);
}

/** The day that a paper is about: it names the owner of that day. */
function dayOfPaper(request: PaperRequest, { standing, today }: FoldedMachine): Day {
  switch (request.document) {
    case 'inspection':
    case 'plan':
    case 'extension':
      return standing.history.entries.find(({ entry }) => entry.id === request.entry)?.day ?? today;
    case 'leakRepairFile':
      return caseAsked(request, standing)?.case.closedOn ?? today;
    case 'chronicReport':
      return Math.min(today, newYearsDay((request.year ?? 0) + 1) - 1) as Day;
    case 'machineRecord':
      return request.to === undefined ? today : (Math.min(today, dayOf(request.to)) as Day);
    default:
      return today;
  }
}

const caseAsked = ({ pack, opened }: PaperRequest, standing: Standing): CaseStanding | undefined =>
  standing.cases.findLast(
    ({ case: each }) => each.pack.id === pack && opened !== undefined && each.openedOn === dayOf(opened),
  );

async function besideOf(
  { machine: { site }, standing }: FoldedMachine,
  records: Records,
  day: Day,
): Promise<PaperContext> {
  const gas = standing.present.refrigerant;
  const owner = ownerOn(site, day);
  return {
    company: await records.company(),
    owner: owner === null ? null : await records.owner(owner),
    people: await records.people(),
    table: gas && (await loadSaturation(gas.name).catch(() => null)),
  };
}

/** Every machine of the visit has its record, one after the other. */
async function serviceRecords(request: PaperRequest, records: Records): Promise<Outcome> {
  const visit = request.visit ?? '';
  const ids = (await records.machinesOfVisit(visit)).filter(
    (id) => request.machine === undefined || id === request.machine,
  );
  const papers: Paper[] = [];
  const all: FoldedMachine[] = [];
  let last: PaperContext | null = null;
  for (const id of ids) {
    const rows = await records.machine(id);
    if (!rows) continue;
    const view = await folded(rows, records, request.asOf);
    const { to } = visitRecord(view.standing.history.entries, visit);
    if (to === null) continue;
    // As of its last day: what was so when the technician left.
    const then =
      to < view.today ? { ...foldedMachine(rows, records.packs, to, []), names: view.names } : view;
    const beside = await besideOf(view, records, then.today);
    papers.push(serviceRecord(then, visit, beside));
    all.push(then);
    last = beside;
  }
  return last === null
    ? refused('The logbook has nothing of such a visit up to that day.')
    : ok(made(request, papers, all, last, {}));
}

async function yearly(request: PaperRequest, records: Records): Promise<Outcome> {
  const year = request.year ?? 0;
  const pack = records.packs[request.pack as PackId];
  const told: MachineYear[] = [];
  const from: MachineRows[] = [];
  let asOf: Day | null = null;
  const owner = request.owner === undefined ? null : await records.owner(request.owner);
  if (request.owner !== undefined && !owner) return refused('The logbook has no such owner.');
  for await (const rows of records.machines()) {
    const end = (newYearsDay(year + 1) - 1) as Day;
    const today = request.asOf === undefined ? records.today(rows.site.timezone) : dayOf(request.asOf);
    const day = Math.min(end, today) as Day;
    if (owner && !ownedIn(rows.site, owner.id, newYearsDay(year), day)) continue;
    const of = machineYear(foldedMachine(rows, records.packs, day, []), pack, year);
    asOf = Math.max(asOf ?? today, today) as Day;
    if (!of) continue;
    told.push(of);
    from.push(rows);
  }
  if (asOf === null) return refused('The logbook has no machine that this report could tell of.');
  told.sort((a, b) => (a.site + a.machine < b.site + b.machine ? -1 : 1));
  const company = await records.company();
  return ok({
    request,
    asOf: dayText(asOf),
    machineId: null,
    papers: [yearlyReport(pack, year, asOf, told, { company, owner })],
    from: { company, owner, machines: from, asOf },
    ownerId: owner?.id ?? null,
    changedSince: (instant) => {
      const count = from.flatMap(({ entries }) => entries).filter((entry) => isAfter(entry, instant)).length;
      return count === 0
        ? []
        : [`${countWords(count, 'entry was', 'entries were')} written or corrected since`];
    },
    pounds: pack.weighs === 'pounds',
  });
}

/** Effective machines of a visit among entries. */
export function machinesOfVisitIn(entries: readonly Entry[], visit: string): string[] {
  const superseded = supersededIds(entries);
  return [
    ...new Set(
      entries.flatMap((entry) =>
        entry.visitId === visit && !superseded.has(entry.id) ? (entry.applianceId ?? []) : [],
      ),
    ),
  ];
}
