/** What does not go along when a logbook is taken out, in words: said before, so that nobody misses it afterwards. */
import type { ExportScope } from '../contract/exports';

/** Of the whole logbook, or of the part that is asked for. */
export function staysOutWords({ site, owner, from, to }: ExportScope): string[] {
  const narrow = site !== undefined || owner !== undefined;
  const period = from !== undefined || to !== undefined;
  return [
    ...(narrow
      ? [
          'Other sites and owners, with all that is theirs',
          'People who wrote nothing in this part, bottles that were not used in it, and all instruments',
        ]
      : []),
    ...(period ? ['Entries of other days, but for those that corrections of this time hang on'] : []),
    ...(narrow || period ? ['Documents that were issued, and their numbers'] : []),
    'Addresses of calendars, files that were brought in, and how their columns were understood',
    'What waits on a phone or tablet to be sent',
  ];
}
