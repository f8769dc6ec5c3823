/** A new site, by the form of its row; its country settles rule sets and time zone. */
import { useState } from 'react';
import { v7 as uuidv7 } from 'uuid';
import { packsOf } from '../../core/rules/packs/countries';
import type { Values } from '../../record/field';
import { FROM_THE_BEGINNING } from '../../record/rows/rowLines';
import { HERE } from '../data/device/here';
import { RowDialog } from './rows/RowDialog';
import { zonesOf } from './timeZones';

function ofCountry(country: string): Values {
  const zones = zonesOf(country);
  const [only, ...more] = zones;
  // Of several zones of a country only a person knows which.
  const timezone = more.length === 0 ? only : zones.find((zone) => zone === HERE);
  return { packs: [...packsOf(country)], ...(zones.length === 0 ? {} : { timezone: timezone ?? '' }) };
}

/** `onClose`: with the site's id, where it was added. */
export function AddSite({ onClose }: { onClose: (added?: string) => void }) {
  const [id] = useState(() => uuidv7());
  return (
    <RowDialog
      table="sites"
      id={id}
      fresh={{
        id,
        timezone: HERE,
        packs: ['house'],
        leakRateMethod: [{ from: FROM_THE_BEGINNING, method: 'annualizing' }],
      }}
      settles={(key, value) => (key === 'country' ? ofCountry(String(value)) : {})}
      onClose={onClose}
    />
  );
}
