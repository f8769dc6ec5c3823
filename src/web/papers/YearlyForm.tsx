/** The yearly report of a rule: which rule, which year, of which owner. */
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { PACK_IDS, type PackId } from '../../core/logbook/packNames';
import { civil } from '../../core/quantity/day';
import { PACK_WORDS } from '../../words/codes';
import { issueAddress } from '../data/addresses/paperAddress';
import { useOwners, useToday } from '../data/api/queries';
import { Button } from '../parts/Button';
import { SelectField } from '../parts/Field';
import { Fold } from '../parts/Fold';

const YEARS_BACK = 6;

export function YearlyForm() {
  const navigate = useNavigate();
  const today = useToday('UTC');
  const owners = useOwners().data ?? [];
  const year = today === null ? 2026 : civil(today).year;
  const [asked, setAsked] = useState({ pack: 'us-hfc', year: '', owner: '' });
  const years = Array.from({ length: YEARS_BACK }, (_, back) => String(year - back));
  return (
    <Fold title="Yearly report" about="every machine that a rule covered in a year">
      <div className="grid max-w-3xl items-end gap-x-4 sm:grid-cols-4">
        <SelectField
          label="Rule"
          value={asked.pack}
          choices={PACK_IDS.map((value) => ({ value, words: PACK_WORDS[value] }))}
          onChange={(event) => setAsked({ ...asked, pack: event.target.value })}
        />
        <SelectField
          label="Year"
          value={asked.year || String(year)}
          choices={years.map((value) => ({ value, words: value }))}
          onChange={(event) => setAsked({ ...asked, year: event.target.value })}
        />
        <SelectField
          label="Owner"
          value={asked.owner}
          choices={[
            { value: '', words: 'all machines' },
            ...owners.map(({ id, name }) => ({ value: id, words: name })),
          ]}
          onChange={(event) => setAsked({ ...asked, owner: event.target.value })}
        />
        <Button
          className="mb-4"
          onClick={() =>
            void navigate(
              issueAddress({
                document: 'yearly',
                pack: asked.pack as PackId,
                year: Number(asked.year || year),
                ...(asked.owner === '' ? {} : { owner: asked.owner }),
              }),
            )
          }
        >
          Look at it
        </Button>
      </div>
    </Fold>
  );
}
