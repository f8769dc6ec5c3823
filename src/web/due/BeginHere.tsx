/** A company that begins: what to do first, in the order in which it is done, each with its button. */
import { useState } from 'react';
import { Check } from 'lucide-react';
import { AddPerson } from '../forms/AddPerson';
import { useWriter } from '../data/device/writer';
import { useSites } from '../data/api/queries';
import { type Added, Adding } from '../forms/Adding';
import { Button } from '../parts/Button';

export default function BeginHere() {
  const { here, listed, person } = useWriter();
  const sites = useSites().data?.rows ?? [];
  const [adding, setAdding] = useState<Added>(null);
  const done = 'text-soft line-through';
  return (
    <section aria-label="Begin here" className="rule-t rule-b my-4 max-w-[44rem] px-1 py-6">
      <h2>Nothing is written yet. Begin here</h2>
      <ol className="mt-3">
        <li className="rule-b py-4">
          <p className={`text-lg font-semibold ${person ? done : ''}`}>
            {person && <Check aria-label="done" className="mr-2 inline" size={20} />}1. Who is writing
          </p>
          {person ? (
            <p className="text-soft">{person.name}</p>
          ) : here.length > 0 || !listed ? (
            <p className="text-soft">Choose your name with the last button of the rail.</p>
          ) : (
            <div className="mt-2 max-w-md">
              <AddPerson label="Your name" />
            </div>
          )}
        </li>
        <li className="rule-b py-4">
          <p className={`text-lg font-semibold ${sites.length > 0 ? done : ''}`}>
            {sites.length > 0 && <Check aria-label="done" className="mr-2 inline" size={20} />}2. A site
          </p>
          <p className="mb-2 text-soft">
            Its country brings the rule sets, its time zone says when a day ends there.
          </p>
          <Button weight={sites.length === 0 ? 'main' : 'plain'} onClick={() => setAdding('site')}>
            Add a site
          </Button>
        </li>
        <li className="py-4">
          <p className="text-lg font-semibold">3. A machine</p>
          <p className="mb-2 text-soft">
            One refrigerant circuit: its gas, how much it holds, since when this record answers for it. Then
            log gas as it goes in: what the rules ask for stands here, by day, with the reason.
          </p>
          <Button weight={sites.length > 0 ? 'main' : 'plain'} onClick={() => setAdding('machine')}>
            Add a machine
          </Button>
          <p className="mt-4 text-soft">
            Many machines in a spreadsheet: bring them in, under Papers. To look around first, run{' '}
            <span className="font-mono">./abacus demo</span>: an invented company in a folder of its own,
            nothing of which comes here.
          </p>
        </li>
      </ol>
      <Adding what={adding} onChange={setAdding} />
    </section>
  );
}
