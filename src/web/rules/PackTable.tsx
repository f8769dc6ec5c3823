/** The main figures of all packs beside each other; on a phone one pack under the other. */
import { CATEGORIES } from '../../core/logbook/fields';
import { PACK_IDS } from '../../core/logbook/packNames';
import type { Figure } from '../../core/rules/figure';
import type { Pack } from '../../core/rules/pack';
import type { Packs } from '../../core/rules/packs/shipped';
import { CATEGORY_WORDS, PACK_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { figureWords } from '../../words/figures';

const latest = (figure: Figure): string => figureWords(figure.periods.at(-1)?.value ?? NaN, figure.unit);

interface Row {
  label: string;
  cell: (pack: Pack) => string;
}

const NONE = '–';

const ROWS: readonly Row[] = [
  { label: 'In force', cell: (pack) => (pack.from === null ? 'always' : `from ${dateWords(pack.from)}`) },
  ...CATEGORIES.map((category): Row => ({
    label: `Limit a year, ${CATEGORY_WORDS[category]}`,
    cell: (pack) => {
      const figure = pack.threshold[category];
      if (!figure) return 'not covered';
      return pack.opens === 'anyLeak' ? 'any leak' : latest(figure);
    },
  })),
  {
    label: 'Repair within',
    cell: (pack) =>
      `${latest(pack.repairWithin)} of the ${pack.opens === 'anyLeak' ? 'detection' : 'addition'}${pack.repairWithin.source.ours ? ' (our planning window: the text says without undue delay)' : ''}`,
  },
  { label: 'With a shutdown', cell: (pack) => (pack.shutdown ? latest(pack.shutdown.repairWithin) : NONE) },
  {
    label: 'Parts on order',
    cell: ({ partsExtension: parts }) =>
      !parts
        ? NONE
        : 'cap' in parts
          ? `${latest(parts.afterDelivery)} after they came, at most ${latest(parts.cap)}`
          : `until ${latest(parts.fromOpening)}`,
  },
  { label: 'First test', cell: (pack) => (pack.firstTestNeeded ? 'with the repair' : 'not asked') },
  {
    label: 'Second test',
    cell: ({ followUp }) =>
      'days' in followUp
        ? `${latest(followUp.days)} of the first`
        : `${latest(followUp.monthsAfterRepair)} of the repair`,
  },
  {
    label: 'Inspections',
    cell: (pack) =>
      pack.seriesInspections
        ? `after a case: every ${latest(pack.seriesInspections.quarterlyEvery)} or ${latest(pack.seriesInspections.yearlyEvery)}`
        : 'always',
  },
  {
    label: 'Plan',
    cell: ({ plan }) =>
      !plan
        ? NONE
        : 'afterRepairDue' in plan.due
          ? `${latest(plan.due.afterRepairDue)} after the repair fell due`
          : `${latest(plan.due.afterOpening)} of the detection`,
  },
  {
    label: 'Chronic from',
    cell: (pack) => (pack.chronic ? `${latest(pack.chronic.percent)} in a year` : NONE),
  },
  { label: 'Records kept', cell: (pack) => latest(pack.recordsKept) },
  { label: 'Source', cell: (pack) => pack.source.cite },
];

export function PackTable({ packs }: { packs: Packs }) {
  const list = PACK_IDS.map((id) => packs[id]);
  return (
    <>
      <table className="hidden w-full table-fixed text-left text-[0.9rem] lg:table">
        <thead>
          <tr className="rule-b align-bottom">
            <th className="w-[9.5rem] py-2 pr-2" scope="col">
              <span className="sr-only">Figure</span>
            </th>
            {list.map((pack) => (
              <th key={pack.id} scope="col" className="py-2 pr-2">
                {PACK_WORDS[pack.id]}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map((row) => (
            <tr key={row.label} className="rule-b align-top">
              <th scope="row" className="py-1.5 pr-2 font-semibold text-soft">
                {row.label}
              </th>
              {list.map((pack) => (
                <td key={pack.id} className="break-words py-1.5 pr-2">
                  {row.cell(pack)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="lg:hidden">
        {list.map((pack) => (
          <details key={pack.id} className="rule-b">
            <summary className="min-h-11 cursor-pointer py-2 font-semibold">{PACK_WORDS[pack.id]}</summary>
            <dl className="mb-3 grid grid-cols-[8rem_1fr] gap-x-3 gap-y-1">
              {ROWS.map((row) => (
                <div key={row.label} className="contents">
                  <dt className="text-soft">{row.label}</dt>
                  <dd className="break-words">{row.cell(pack)}</dd>
                </div>
              ))}
            </dl>
          </details>
        ))}
      </div>
    </>
  );
}
