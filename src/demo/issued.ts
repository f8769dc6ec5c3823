/** What left the house in the story: the file of a case, corrected, and issued again with what changed. */
import type { Entry } from '../core/logbook/entry';
import { dayText } from '../core/quantity/day';
import type { Services } from '../server/services';

const BY = 'odalys';

export async function issueStory({ issuing, keeper, store, appending }: Services): Promise<void> {
  const placed = await store.placed('rack-b');
  if (!placed) return;
  const entries = await store.entriesBearingOn('rack-b');
  const { cases } = await keeper.standingOf(placed.appliance, placed.site, entries);
  const open = cases.find(({ state }) => state === 'open');
  const killed = new Set(entries.flatMap(({ supersedes }) => supersedes ?? []));
  const gas = entries.findLast((entry) => entry.kind === 'refrigerantAdded' && !killed.has(entry.id));
  if (!open || !gas) return;
  const request = {
    document: 'leakRepairFile' as const,
    machine: 'rack-b',
    pack: open.case.pack.id,
    opened: dayText(open.case.openedOn),
  };
  const to = 'Almery Fish Hall, owner’s office';
  await issuing.issue({ id: 'issued-rack-b-1', request, by: BY, to, answers: {} });
  const { seal: _seal, recordedAt: _at, ...said } = gas;
  await appending.append([
    {
      ...said,
      id: `${gas.id}-again`,
      supersedes: gas.id,
      correctionReason: 'the level was read after the defrost',
      note: 'liquid level back at 38 %',
    } as Entry,
  ]);
  await issuing.issue({ id: 'issued-rack-b-2', request, by: BY, to: 'the authority', answers: {} });
}
