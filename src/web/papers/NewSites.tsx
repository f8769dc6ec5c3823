/** Sites that no list describes: where they stand, and which rules hold there. */
import { PACK_IDS, type PackId } from '../../core/logbook/packNames';
import { isTimezone } from '../../core/quantity/zone';
import type { Mapping } from '../../sheets/mapping';
import { PACK_WORDS } from '../../words/codes';
import { TextField } from '../parts/Field';

export const isWrongZone = ({ newSites }: Mapping): boolean =>
  newSites != null && !isTimezone(newSites.timezone);

export function NewSites({ draft, onDraft }: { draft: Mapping; onDraft: (draft: Mapping) => void }) {
  const { newSites } = draft;
  const packs = newSites?.packs ?? [];
  const set = (next: { timezone: string; packs: PackId[] }) =>
    onDraft({ ...draft, newSites: next.timezone === '' && next.packs.length === 0 ? null : next });
  return (
    <>
      <TextField
        label="Time zone of new sites"
        hint="Such as America/Chicago. Left empty, a site that is not in the logbook is a fault."
        optional
        value={newSites?.timezone ?? ''}
        error={isWrongZone(draft) ? 'Write a time zone such as America/Chicago.' : null}
        onChange={(event) => set({ timezone: event.target.value.trim(), packs })}
      />
      <fieldset className="mb-4">
        <legend className="mb-1 font-semibold">Rules of new sites</legend>
        <div className="flex flex-wrap gap-x-5">
          {PACK_IDS.map((id) => (
            <label key={id} className="flex min-h-11 cursor-pointer items-center gap-2">
              <input
                type="checkbox"
                className="size-6 accent-green"
                checked={packs.includes(id)}
                onChange={() =>
                  set({
                    timezone: newSites?.timezone ?? '',
                    packs: packs.includes(id) ? packs.filter((each) => each !== id) : [...packs, id],
                  })
                }
              />
              {PACK_WORDS[id]}
            </label>
          ))}
        </div>
      </fieldset>
    </>
  );
}
