/** The tables of a machine's record: additions with their rates, and every entry under its matter. */
import type { ReactNode } from 'react';
import { ENTRY_KINDS, type EntryKind } from '../../core/logbook/entry';
import { grams, massText } from '../../core/quantity/mass';
import { PERCENT_SCALE } from '../../core/rules/leakRate';
import { judgedRate } from '../../core/rules/judgedRate';
import { useWriter } from '../data/writer';
import { Section } from '../parts/Page';
import { METHOD_WORDS } from '../../words/codes';
import { dateWords, dayWords } from '../../words/dates';
import { exceedsWords, limitWords, percentText } from '../../words/rod';
import { entryTitle, sentenceOf } from '../../record/sentence';
import { type MachineView } from '../data/machineView';

export const SECTIONS: [string, EntryKind[]][] = [
  ['Full charge determinations', ['fullChargeSet']],
  ['Gas added and recovered', ['refrigerantAdded', 'refrigerantRecovered']],
  ['Leaks and repairs', ['leakFound', 'leakRepaired']],
  ['Tests after repair', ['verificationTest', 'normalOperation']],
  ['Leak inspections', ['leakInspection']],
  ['Extensions and shutdowns', ['extension', 'processShutdown', 'mothballed', 'unrelatedLeak']],
  ['Plans and reports', ['planFiled', 'planCompleted', 'reportFiled']],
  ['Changes of the machine', ['applianceChanged', 'retrofitted', 'retired']],
  ['Leak detection', ['detectionCheck', 'detectionAlarm']],
];

/** Whatever was written stands somewhere in the record. */
export const OTHER_KINDS: readonly EntryKind[] = ENTRY_KINDS.filter(
  (kind) => kind !== 'void' && !SECTIONS.some(([, kinds]) => kinds.includes(kind)),
);

export function EntryTable({
  title,
  kinds,
  view,
}: {
  title: string;
  kinds: readonly EntryKind[];
  view: MachineView;
}) {
  const { people } = useWriter();
  const entries = view.standing.history.entries.filter(({ entry }) => kinds.includes(entry.kind));
  if (entries.length === 0) return null;
  const writer = (id: string) => {
    const person = people.find((each) => each.id === id);
    const certificate = person?.certificates?.[0];
    return `${person?.name ?? id}${certificate ? `, ${certificate.scheme ?? ''} ${certificate.number ?? ''}` : ''}`;
  };
  return (
    <Section title={title}>
      <Table
        head={['Day', 'What', 'By, certificate', 'Note']}
        rows={entries.map(({ entry }) => [
          dateWords(entry.on),
          `${entryTitle(entry)} ${sentenceOf(entry, view.system, view.names)}`,
          writer(entry.by),
          [entry.note, entry.supersedes && `corrected: ${entry.correctionReason ?? ''}`]
            .filter(Boolean)
            .join('; '),
        ])}
      />
    </Section>
  );
}

export function Additions({ view: { standing, system } }: { view: MachineView }) {
  const percent = (millionths: number | null) =>
    millionths === null ? 'not known' : percentText(millionths / PERCENT_SCALE);
  if (standing.additions.length === 0) return null;
  return (
    <Section title="Leak rate at each addition">
      <Table
        head={[
          'Day',
          'Counts',
          'Full charge',
          'Annualizing',
          'Rolling average',
          'Method',
          'Limit',
          'Exceeds',
        ]}
        rows={standing.additions.map((each) => {
          const judged = judgedRate(each, standing.ledger);
          return [
            dayWords(each.gasDay.day),
            each.gasDay.unknown ? 'not weighed' : massText(grams(each.gasDay.net), system),
            each.spell.fullCharge === null ? 'not known' : massText(grams(each.spell.fullCharge), system),
            percent(each.annualizing.millionths),
            percent(each.rolling.millionths),
            METHOD_WORDS[each.method],
            each.spell.fullCharge === null ? 'not known' : limitWords(judged),
            exceedsWords(judged),
          ];
        })}
      />
    </Section>
  );
}

export const dateOr = (date: string | null | undefined): string =>
  date == null ? 'not recorded' : dateWords(date);

/** A plain table; on a phone each row becomes a block with its headings. */
export function Table({ head, rows }: { head: string[]; rows: ReactNode[][] }) {
  if (rows.length === 0) return null;
  return (
    <table className="mb-3 block w-full text-left text-[0.93rem] sm:table">
      <thead className="hidden sm:table-header-group">
        <tr className="rule-b">
          {head.map((each) => (
            <th key={each} scope="col" className="py-1 pr-3">
              {each}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="block sm:table-row-group">
        {rows.map((row, index) => (
          <tr key={index} className="rule-b block py-1 sm:table-row">
            {row.map((cell, at) => (
              <td key={at} className="block break-words align-top sm:table-cell sm:py-1 sm:pr-3">
                <span className="mr-2 text-soft sm:hidden">{head[at]}:</span>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
