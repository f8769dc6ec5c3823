/** Keeps the table of visits beside the entries: counted on as they come, and counted anew where one was corrected away. */
import type { Entry } from '../../core/logbook/entry';
import type { Statement } from './database';
import { insertions } from './insertions';
import * as t from './schema';

const ANEW = `INSERT INTO visits
  SELECT visit_id, appliance_id, min(json_extract(document, '$.on')), max(json_extract(document, '$.on')), count(*),
    max(document ->> '$.kind' = 'handover' AND coalesce(document ->> '$.tool' = 'signed', 0)),
    (SELECT json_extract(first.document, '$.by') FROM entries AS first
      WHERE first.visit_id = entries.visit_id AND first.appliance_id = entries.appliance_id
      ORDER BY first.sequence LIMIT 1),
    max(sequence)
  FROM entries
  WHERE visit_id IN (SELECT value FROM json_each(?)) AND appliance_id IS NOT NULL
    AND NOT EXISTS (SELECT 1 FROM entries AS later WHERE later.supersedes = entries.id)
  GROUP BY visit_id, appliance_id`;

const GO_ON = `ON CONFLICT DO UPDATE SET from_day = min(from_day, excluded.from_day), to_day = max(to_day, excluded.to_day),
  entries = entries + 1, handed_over = max(handed_over, excluded.handed_over), last = excluded.last`;

const isSigned = (entry: Entry): boolean =>
  entry.kind === 'handover' && (entry as Entry & { tool?: unknown }).tool === 'signed';

/**
 * Statements for entries that were sealed from the place `from` on, after those that insert them. `corrected`: visits of
 * entries that these correct or void.
 */
export function visitsAfter(
  from: number,
  entries: readonly Entry[],
  corrected: readonly string[],
): Statement[] {
  const own = entries.flatMap((entry) => entry.visitId ?? []);
  if (corrected.length > 0) {
    const ids = JSON.stringify([...new Set([...own, ...corrected])]);
    return [
      { sql: 'DELETE FROM visits WHERE visit_id IN (SELECT value FROM json_each(?))', args: [ids] },
      { sql: ANEW, args: [ids] },
    ];
  }
  return entries.flatMap((entry, index) =>
    entry.visitId != null && entry.applianceId != null
      ? insertions(
          t.visits,
          [
            t.visits.visitId,
            t.visits.applianceId,
            t.visits.from,
            t.visits.to,
            t.visits.entries,
            t.visits.handedOver,
            t.visits.by,
            t.visits.last,
          ],
          [
            [
              entry.visitId,
              entry.applianceId,
              entry.on,
              entry.on,
              1,
              isSigned(entry) ? 1 : 0,
              entry.by,
              from + index,
            ],
          ],
          GO_ON,
        )
      : [],
  );
}

/** All visits counted anew, after a whole logbook was loaded. */
export const visitsAnew = (): Statement[] => [
  'DELETE FROM visits',
  ANEW.replace('visit_id IN (SELECT value FROM json_each(?))', 'visit_id IS NOT NULL'),
];

/** Visits of entries that are corrected. */
export const visitsCorrected = (entries: readonly Entry[], targets: readonly Entry[]): string[] => {
  const corrected = new Set(entries.map(({ supersedes }) => supersedes));
  return [...targets, ...entries].flatMap((entry) => (corrected.has(entry.id) ? (entry.visitId ?? []) : []));
};
