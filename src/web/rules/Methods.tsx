/** The leak-rate method of each site, and its dated changes; the past is never rewritten. */
import { useState } from 'react';
import type { Site } from '../../core/logbook/tables';
import { useSitePages } from '../data/api/queries';
import { ForWriters } from '../data/api/ForWriters';
import { Button } from '../parts/Button';
import { Section } from '../parts/Page';
import { LoadedPages } from '../parts/Pages';
import { RowDialog } from '../forms/rows/RowDialog';
import { METHOD_WORDS, PACK_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';

export function Methods() {
  const sites = useSitePages();
  const [changing, setChanging] = useState<Site | null>(null);
  return (
    <Section title="Leak-rate method by site">
      <LoadedPages pages={sites} more="Show more sites">
        {(list) => (
          <ul>
            {list.map((site) => (
              <li key={site.id} className="rule-b flex flex-wrap items-center gap-x-4 py-1.5">
                <div className="min-w-0 flex-1 basis-64">
                  <p className="font-semibold">{site.name}</p>
                  <p className="text-soft">
                    {site.packs.map((pack) => PACK_WORDS[pack]).join(', ') || 'no rule set'}
                  </p>
                </div>
                <p>
                  {(site.leakRateMethod ?? [])
                    .map((each) => `${METHOD_WORDS[each.method]} from ${dateWords(each.from)}`)
                    .join('; ') || 'annualizing'}
                </p>
                <ForWriters>
                  <Button weight="quiet" onClick={() => setChanging(site)}>
                    Change
                  </Button>
                </ForWriters>
              </li>
            ))}
          </ul>
        )}
      </LoadedPages>
      {changing && <RowDialog table="sites" id={changing.id} onClose={() => setChanging(null)} />}
    </Section>
  );
}
