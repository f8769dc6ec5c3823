/**
 * The circuit of a machine as it is walked: roof or machine room above, lines, rooms below; pipes between the parts, the
 * high side thick. Values sit on the pipe where they were taken. Everything on it can be touched, reached by key, and is
 * told in a list beside it.
 */
import { type ReactNode, useState } from 'react';
import type { CircuitMap, MapPart } from '../../core/circuit/map';
import { uncapped } from '../../words/list';
import { Button } from '../parts/Button';
import { Fold } from '../parts/Fold';
import { DrawnPart, partSaid } from './DrawnPart';
import { type Joint, LinePaths } from './LinePaths';
import { COLUMNS } from '../../record/drawing/layoutCells';
import { CELL, middleOf } from '../../record/drawing/pipes';
import { BRANCHES_OF_A_PAGE, type Drawing, drawn, pagesOf } from '../../record/drawing/placing';
import { MARK_SIGN, type PartShown, type ValueShown } from './shown';
import { ValueBox } from './ValueBox';

const WIDTH = COLUMNS * CELL;

/** Which circuits of many are shown, where the one who draws keeps it. */
export interface Paged {
  page: number;
  onPage: (page: number) => void;
}

interface Props extends Partial<Paged> {
  map: CircuitMap;
  label: string;
  shown: (part: MapPart) => PartShown;
  values?: readonly ValueShown[];
  onTouch?: ((part: MapPart) => void) | undefined;
  onValue?: ((value: ValueShown) => void) | undefined;
  /** a place on a line is touched */
  onLine?: (joint: Joint) => void;
  /** stands beside the way to the list */
  aside?: ReactNode;
}

/** The first place stands at the left edge; below it the line that runs down there is cleared. */
const labelAt = (row: number): number => (row === 0 ? 2 : CELL + 8);

export function CircuitDrawing(props: Props) {
  const { map, values = [], onValue } = props;
  const [own, setOwn] = useState(0);
  const { page = own, onPage: setPage = setOwn } = props;
  const pages = pagesOf(map);
  const current = Math.min(page, pages - 1);
  const drawing = drawn(map, current);
  const loose = values.filter(({ place, partId }) => drawing.slotOf(place, partId) === null);
  const read = loose.filter((value) => !value.empty);
  const waiting = loose.filter((value) => value.empty);
  return (
    <div>
      <OnePage {...props} drawing={drawing} />
      {pages > 1 && (
        <div className="no-print mt-1 flex flex-wrap items-center gap-2">
          <Button disabled={current === 0} onClick={() => setPage(current - 1)}>
            Circuits before
          </Button>
          <span className="text-soft">
            Page {current + 1} of {pages}, {BRANCHES_OF_A_PAGE} circuits each
          </span>
          <Button disabled={current === pages - 1} onClick={() => setPage(current + 1)}>
            More circuits
          </Button>
        </div>
      )}
      {waiting.map((value) => (
        <Button
          key={value.place}
          className="mr-2 mt-1"
          aria-label={value.said}
          onClick={() => onValue?.(value)}
        >
          {value.words}
        </Button>
      ))}
      {read.length > 0 && (
        <Fold title="Also read" about={read.map((value) => uncapped(value.said)).join(' · ')}>
          <div className="grid grid-cols-2 gap-2">
            {read.map((value) => (
              <Button
                key={`${value.place} ${value.partId}`}
                className="justify-start! text-left"
                disabled={!onValue}
                onClick={() => onValue?.(value)}
              >
                {value.said} {value.mark && <span aria-hidden="true">{MARK_SIGN[value.mark]}</span>}
              </Button>
            ))}
          </div>
        </Fold>
      )}
      <div className="relative">
        <AsList {...props} />
        {props.aside && <div className="no-print absolute top-0 right-0">{props.aside}</div>}
      </div>
    </div>
  );
}

function OnePage({
  drawing,
  shown,
  values = [],
  onTouch,
  onValue,
  onLine,
  label,
}: Props & { drawing: Drawing }) {
  return (
    <svg
      viewBox={`0 0 ${String(WIDTH)} ${String(drawing.rows * CELL)}`}
      className="block w-full max-w-[28rem] touch-manipulation select-none"
      role="group"
      aria-label={label}
    >
      {drawing.parts.map(
        (part) =>
          shown(part).inSection && (
            <rect
              key={part.id}
              x={part.column * CELL}
              y={part.row * CELL}
              width={CELL}
              height={CELL}
              className="fill-line"
            />
          ),
      )}
      {drawing.places.map((place, index) => (
        <g key={place.key}>
          {index > 0 && (
            <line
              x1={0}
              x2={WIDTH}
              y1={place.fromRow * CELL}
              y2={place.fromRow * CELL}
              className="stroke-line"
              strokeWidth={1}
            />
          )}
          <text x={labelAt(place.fromRow)} y={place.fromRow * CELL + 11} className="fill-soft" fontSize={12}>
            {place.where}
          </text>
        </g>
      ))}
      <LinePaths drawing={drawing} onLine={onLine} />
      {drawing.parts.map((part) => (
        <DrawnPart key={part.id} part={part} at={middleOf(part)} shown={shown(part)} onTouch={onTouch} />
      ))}
      {values.map((value) => {
        const slot = drawing.slotOf(value.place, value.partId);
        return (
          slot && (
            <ValueBox key={`${value.place} ${value.partId}`} value={value} slot={slot} onTouch={onValue} />
          )
        );
      })}
    </svg>
  );
}

/** The same places without the drawing: every part of every page, in the order in which it is walked. */
function AsList({ map, shown, values = [], onTouch, onValue, label }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <details className="no-print" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="flex min-h-11 w-fit cursor-pointer items-center text-soft underline underline-offset-4">
        The drawing as a list
      </summary>
      {open && (
        <ul aria-label={`${label}, as a list`} className="mb-2 sm:columns-2">
          {map.parts.map((part) => (
            <li key={part.id} className="rule-b break-inside-avoid">
              {onTouch ? (
                <button
                  type="button"
                  className="min-h-11 w-full cursor-pointer text-left"
                  onClick={() => onTouch(part)}
                >
                  {partSaid(part, shown(part))}
                </button>
              ) : (
                <p className="py-1.5">{partSaid(part, shown(part))}</p>
              )}
              {values
                .filter((value) => value.partId === part.id)
                .map((value) => (
                  <button
                    key={value.place}
                    type="button"
                    disabled={!onValue}
                    className="block min-h-11 w-full cursor-pointer pl-4 text-left font-semibold"
                    onClick={() => onValue?.(value)}
                  >
                    {value.said}
                  </button>
                ))}
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}
