/** One duty: how late, what, where, why by which rule, the machine's rod, and the step that answers it. */
import { Link } from 'react-router';
import type { DueRow } from '../../contract/api';
import { dayOf } from '../../core/quantity/day';
import { ButtonLink } from '../parts/Button';
import { DutyButton } from './DutyButton';
import { RodDrawing } from '../parts/Rod';
import { ObligationMark } from '../parts/StateMark';
import { OBLIGATION_WORDS } from '../../words/codes';
import { packsWords } from '../../words/duties';
import { untilWords, weekdayWords } from '../../words/dates';
import { rodWords } from '../../words/rod';
import { whyWords } from '../../words/why';

export const casePath = (machineId: string, pack: string, openedOn: string): string =>
  `/machines/${encodeURIComponent(machineId)}/cases/${pack}/${openedOn}`;

export function DueRowItem({ row }: { row: DueRow }) {
  const kind = row.kind;
  const due = dayOf(row.due);
  const today = dayOf(row.today);
  return (
    <li className="rule-b grid grid-cols-[1fr_auto] items-center gap-x-4 gap-y-1 py-3 md:grid-cols-[8rem_minmax(0,1fr)_11rem_8.2rem]">
      <div className="col-span-2 md:col-span-1">
        <ObligationMark state={row.state} words={untilWords(due, today)} />
        <div className="ml-6 inline text-soft md:block">{weekdayWords(due, today)}</div>
      </div>
      <div className="col-span-2 min-w-0 md:col-span-1">
        <p className="font-semibold">{OBLIGATION_WORDS[kind]}</p>
        <p className="break-words">
          <Link
            to={`/machines/${encodeURIComponent(row.machineId)}`}
            className="underline decoration-line underline-offset-4"
          >
            {row.machineName}
          </Link>{' '}
          · {row.siteName}
        </p>
        <p className="text-[0.93rem] text-soft">
          {whyWords(row.why)} · {packsWords(row.packs)}, {row.cite}
        </p>
      </div>
      <div className="hidden md:block">
        <RodDrawing rod={row.rod} system={row.massSystem} />
        <p className="text-right text-[0.93rem] text-balance">{rodWords(row.rod, row.massSystem)}</p>
      </div>
      <div className="col-span-2 flex gap-2 md:col-span-1 md:flex-col">
        <DutyButton duty={row} machineId={row.machineId} overdue={row.state === 'overdue'} />
        {row.caseOpenedOn !== null && (
          <ButtonLink
            weight="quiet"
            className="flex-1"
            to={casePath(row.machineId, row.pack, row.caseOpenedOn)}
          >
            Case
          </ButtonLink>
        )}
      </div>
    </li>
  );
}
