/** One pack: who it covers, every figure with its source and periods, readings taken, what is not computed. */
import { useState } from 'react';
import { figuresOf, type PlacedFigure } from '../../core/rules/amend';
import type { Pack } from '../../core/rules/pack';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { dateWords } from '../../words/dates';
import { figureLabel, figureWords } from '../../words/figures';
import { AmendDialog } from './AmendDialog';

export function PackDetail({ pack }: { pack: Pack }) {
  const [changing, setChanging] = useState<PlacedFigure | null>(null);
  return (
    <>
      <p className="font-semibold">{pack.title}</p>
      <p className="mb-3 text-soft">
        {pack.authority} · {pack.source.cite} ·{' '}
        {pack.from === null ? 'always' : `from ${dateWords(pack.from)}`} · summary read over{' '}
        {dateWords(pack.source.readOn)}
      </p>
      <ul>
        {figuresOf(pack).map((placed) => (
          <li key={placed.path.join('.')} className="rule-b flex items-center gap-4 py-1.5">
            <div className="min-w-0 flex-1">
              <p>{figureLabel(pack, placed.path)}</p>
              <p className="break-words text-[0.9rem] text-soft">
                {placed.figure.source.ours && (
                  <span className="font-semibold text-ochre">Ours, not the law’s · </span>
                )}
                {placed.figure.source.cite}
              </p>
            </div>
            <div className="text-right">
              {placed.figure.periods.map((period) => (
                <p key={String(period.from)} className={period.changed ? '' : 'font-semibold'}>
                  {figureWords(period.value, placed.figure.unit)}
                  {period.from !== null && ` from ${dateWords(period.from)}`}
                  {period.changed && (
                    <span className="block text-[0.9rem] text-ochre">
                      own figure: {period.changed.reason}
                    </span>
                  )}
                </p>
              ))}
            </div>
            <ForWriters of="amend">
              <Button
                weight="quiet"
                className="px-2"
                aria-label={`Change: ${figureLabel(pack, placed.path) ?? ''}`}
                onClick={() => setChanging(placed)}
              >
                Change
              </Button>
            </ForWriters>
          </li>
        ))}
      </ul>
      {pack.notComputed.length > 0 && (
        <div className="mt-4">
          <p className="font-semibold">Asked by the rule, not computed here</p>
          <ul className="list-disc pl-5">
            {pack.notComputed.map((each) => (
              <li key={each}>{each}</li>
            ))}
          </ul>
        </div>
      )}
      {pack.interpretations.length > 0 && (
        <details className="mt-4">
          <summary className="min-h-11 cursor-pointer py-2 font-semibold text-green underline underline-offset-4">
            Readings taken where the text is open ({pack.interpretations.length})
          </summary>
          <ul>
            {pack.interpretations.map((each) => (
              <li key={each.point} className="rule-b py-2">
                <p className="font-semibold">{each.point}</p>
                <p>Taken: {each.reading}</p>
                <p className="text-soft">
                  Otherwise: {each.alternative} · decided by {each.decidedBy}
                </p>
              </li>
            ))}
          </ul>
        </details>
      )}
      {changing && <AmendDialog pack={pack} placed={changing} onClose={() => setChanging(null)} />}
    </>
  );
}
