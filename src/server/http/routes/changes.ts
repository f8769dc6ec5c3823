/** Everything that was written, newest first, with what its machines and their leaks are called. */
import type { Change } from '../../../contract/api';
import type { AnswerOf } from '../../../contract/endpoints';
import { leakLabels } from '../../../core/logbook/leakLabels';
import { massSystemOf } from '../../../core/rules/massSystem';
import type { Store } from '../../store/store';

const CHANGES_OF_A_PAGE = 50;

/** The machines that a page names, each read once: what they and their leaks are called, and their units. */
async function machinesOf(store: Store, ids: readonly string[]) {
  const machines = new Map<string, Pick<Change, 'machineName' | 'siteName' | 'massSystem' | 'leaks'>>();
  for (const id of new Set(ids)) {
    const placed = await store.placed(id);
    machines.set(id, {
      machineName: placed?.appliance.name ?? '',
      siteName: placed?.site.name ?? '',
      massSystem: massSystemOf(placed?.site ?? { packs: [] }),
      leaks: Object.fromEntries(leakLabels(await store.entriesBearingOn(id))),
    });
  }
  return machines;
}

const NO_MACHINE = { machineName: '', siteName: '', massSystem: massSystemOf({ packs: [] }), leaks: {} };

export async function changesPage(store: Store, before: number | null): Promise<AnswerOf<'changes'>> {
  const links = await store.linksBefore(before, CHANGES_OF_A_PAGE + 1);
  const page = links.slice(0, CHANGES_OF_A_PAGE);
  const machines = await machinesOf(
    store,
    page.flatMap(({ sealed }) => ('kind' in sealed ? (sealed.applianceId ?? []) : [])),
  );
  return {
    changes: page.map(({ sequence, sealed }): Change => {
      if (!('kind' in sealed)) return { sequence, revision: sealed, entry: null, ...NO_MACHINE };
      return {
        sequence,
        revision: null,
        entry: sealed,
        ...(machines.get(sealed.applianceId ?? '') ?? NO_MACHINE),
      };
    }),
    before: links.length > page.length ? (page.at(-1)?.sequence ?? null) : null,
  };
}
