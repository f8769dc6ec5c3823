/** The rod at its largest and the figures beside it, each opening its working. */
import type { ReactNode } from 'react';
import { type Day, addMonths, civil } from '../../core/quantity/day';
import { grams, massText } from '../../core/quantity/mass';
import { PERCENT_SCALE } from '../../core/rules/leakRate';
import { judgedRate } from '../../core/rules/judgedRate';
import { headroomSummary } from '../../core/rules/summary';
import { yearLoss } from '../../core/visit/yearLoss';
import { RodDrawing } from '../parts/Rod';
import { WorkingDisclosure } from '../parts/Working';
import { PACK_WORDS } from '../../words/codes';
import { dayWords } from '../../words/dates';
import { percentText, rateFigure, rateWords, rodSentence, rodWords } from '../../words/rod';
import { lossShareWords, lossUnknownWords, lossWords } from '../../words/yearLoss';
import { annualizingWorking, headroomWorking, rollingWorking } from '../../words/working';
import type { MachineView } from '../data/api/machineView';

const percentOf = (millionths: number | null): string =>
  millionths === null ? 'unknown' : percentText(millionths / PERCENT_SCALE);

export function Figures({ view }: { view: MachineView }) {
  const { standing, system } = view;
  const rod = headroomSummary(standing);
  const last = standing.additions.at(-1);
  const judged = last && judgedRate(last, standing.ledger);
  return (
    <section
      aria-label="Figures"
      className="rule-t rule-b mb-6 grid gap-x-10 gap-y-4 py-4 lg:grid-cols-[1.2fr_1fr]"
    >
      <div>
        <RodDrawing size="full" rod={rod} system={system} />
        <p className="text-3xl font-bold">{rodWords(rod, system)}</p>
        <p className="text-soft">{rodSentence(rod, system)}</p>
        {standing.headroom.known && (
          <WorkingDisclosure
            label="How the room comes about"
            working={headroomWorking(standing.headroom.headroom, standing, system, view.names.leaks)}
          />
        )}
      </div>
      <div>
        <dl className="grid grid-cols-2 content-start gap-x-6 gap-y-3">
          <Figure term="Last addition" value={judged ? rateFigure(judged) : '–'}>
            {judged ? `${dayWords(judged.on)}: ${rateWords(judged)}` : 'no gas that counts so far'}
          </Figure>
          <YearFigure view={view} />
          <Figure
            term="Rules that cover"
            value={standing.present.covering.map((pack) => PACK_WORDS[pack.id]).join(', ') || 'none'}
          >
            as of today
          </Figure>
          <BalanceFigure view={view} />
        </dl>
        {last && (
          <div className="mt-2">
            <WorkingDisclosure
              label={`Annualizing: ${percentOf(last.annualizing.millionths)}`}
              working={annualizingWorking(last, standing.ledger, system, view.names.leaks)}
            />
            <WorkingDisclosure
              label={`Rolling average: ${percentOf(last.rolling.millionths)}`}
              working={rollingWorking(last, standing.ledger, system)}
            />
          </div>
        )}
      </div>
    </section>
  );
}

/** Gas that was taken out and not put back: an old balance would hide a loss. */
function BalanceFigure({ view: { standing, today, system } }: { view: MachineView }) {
  const { repair, seasonal } = standing.balances;
  const out = [
    ...(repair > 0n ? [`${massText(grams(repair), system)} for repair`] : []),
    ...seasonal
      .filter((each) => today < addMonths(each.day, 12))
      .map((each) => `${massText(grams(each.grams), system)} for the season, ${dayWords(each.day)}`),
  ];
  return (
    <Figure term="Recovered balance" value={out.join('; ') || 'nothing'}>
      {out.length > 0 && 'repaid first when gas goes back; an old balance would hide a loss'}
    </Figure>
  );
}

function YearFigure({ view: { standing, today, system } }: { view: MachineView }) {
  const { year } = civil(today satisfies Day);
  const loss = yearLoss(standing, year);
  return (
    <Figure term={`Lost in ${String(year)}`} value={lossWords(loss, system)}>
      {[
        loss.net > 0n &&
          (loss.millionths === null
            ? 'share of the full charge unknown'
            : `${lossShareWords(loss)} of the full charge${loss.chronic ? ', chronic' : ''}`),
        ...loss.unknown.map(lossUnknownWords),
        loss.net === 0n && loss.unknown.length === 0 && 'nothing had to be added to make good a loss',
      ]
        .filter(Boolean)
        .join('; ')}
    </Figure>
  );
}

function Figure({ term, value, children }: { term: string; value: ReactNode; children: ReactNode }) {
  return (
    <div className="min-w-0">
      <dt className="text-soft">{term}</dt>
      <dd className="break-words text-xl font-bold">{value}</dd>
      <dd className="text-soft">{children}</dd>
    </div>
  );
}
