/** Figures of the company's own and issued documents, as an import brings them, and takes them back. */
import type { UndoPreview } from '../../contract/imports';
import type { IssuedRow } from '../../contract/papers';
import { figureId } from '../../contract/rows';
import type { Revision } from '../../core/logbook/tables';
import type { OwnFigure } from '../exports/logbookRows';
import type { Statement } from '../store/database';
import type { Wrote } from '../store/imports';
import type { IssuedStore } from '../store/issued';
import type { Store } from '../store/store';
import { withdrawn } from '../store/withdrawn';
import type { PlannedRow } from './plan';

export interface FiguresAndDocuments {
  figures: readonly OwnFigure[];
  issued: readonly IssuedRow[];
}

type Sealing = Pick<Revision, 'recordedAt' | 'by' | 'why'>;

export class BesideRows {
  constructor(
    private readonly store: Store,
    private readonly issued: IssuedStore,
  ) {}

  /** What of a plan is not there yet. */
  async fresh(planned: readonly PlannedRow[]): Promise<FiguresAndDocuments> {
    const [figures, issued] = [
      planned.flatMap((each) => each.figures ?? []),
      planned.flatMap((each) => each.issued ?? []),
    ];
    if (figures.length + issued.length === 0) return { figures, issued };
    const there = await this.ids();
    return {
      figures: figures.filter(({ id }) => !there.figures.has(id)),
      issued: issued.filter(({ id }) => !there.issued.has(id)),
    };
  }

  /** What of an import can be taken back, and what stays since this house went on from it. */
  async takenBack({
    figures = [],
    issued = [],
  }: Wrote): Promise<FiguresAndDocuments & { stays: UndoPreview['stays'] }> {
    if (figures.length + issued.length === 0) return { figures: [], issued: [], stays: [] };
    const all = await this.issued.all();
    const own = new Set(issued);
    const stays = all.filter(
      ({ id, base, version }) =>
        own.has(id) && all.some((each) => each.base === base && each.version > version && !own.has(each.id)),
    );
    return {
      figures: (await this.store.amendments())
        .map(({ recordedAt, ...amendment }) => ({ id: figureId(amendment), amendment, recordedAt }))
        .filter(({ id }) => figures.includes(id)),
      issued: all.filter((row) => own.has(row.id) && !stays.includes(row)),
      stays: stays.map(({ number }) => ({
        words: `document ${number}`,
        why: 'a later version was issued here',
      })),
    };
  }

  put = ({ figures, issued }: FiguresAndDocuments): Statement[] => [
    ...figures.map(({ amendment, recordedAt }) => this.store.insertAmendment(amendment, recordedAt)),
    ...issued.map((row) => this.issued.insert(row)),
  ];

  remove = ({ figures, issued }: FiguresAndDocuments): Statement[] => [
    ...figures.map(({ amendment }) => this.store.removeAmendment(amendment)),
    ...issued.map(({ id }) => this.issued.remove(id)),
  ];

  revisions = ({ figures, issued }: FiguresAndDocuments, sealing: Sealing): Revision[] => [
    ...figures.map(({ id, amendment }) => ({ table: 'figures', id, row: amendment, ...sealing })),
    ...issued.map((row) => ({ table: 'issued', id: row.id, row, ...sealing })),
  ];

  /** The same when they are taken back: kept in the chain with their mark. */
  withdrawals = (beside: FiguresAndDocuments, sealing: Sealing & { why: string }): Revision[] =>
    this.revisions(beside, sealing).map((each) => ({
      ...each,
      row: withdrawn(each.row, sealing.why) as Revision['row'],
    }));

  private async ids(): Promise<{ figures: ReadonlySet<string>; issued: ReadonlySet<string> }> {
    return {
      figures: new Set((await this.store.amendments()).map(figureId)),
      issued: new Set((await this.issued.all()).map(({ id }) => id)),
    };
  }
}

export const besideWrote = ({ figures, issued }: FiguresAndDocuments): Pick<Wrote, 'figures' | 'issued'> => ({
  figures: figures.map(({ id }) => id),
  issued: issued.map(({ id }) => id),
});
