/** A company that begins: what to do first, in the order in which it is done, each with its button. */
import { useState } from 'react';
import { Check } from 'lucide-react';
import { Link } from 'react-router';
import { useSites } from '../data/api/queries';
import { type Added, Adding } from '../forms/Adding';
import { Button } from '../parts/Button';

export default function BeginHere() {
  const sites = useSites().data?.rows ?? [];
  const [adding, setAdding] = useState<Added>(null);
  const done = 'text-soft line-through';
  return (
    <section aria-label="Begin here" className="rule-t rule-b my-4 max-w-[44rem] px-1 py-6">
      <h2>Nothing is written yet. Begin here</h2>
      <ol className="mt-3">
        <li className="rule-b py-4">
          <p className={`text-lg font-semibold ${sites.length > 0 ? done : ''}`}>
            {sites.length > 0 && <Check aria-label="done" className="mr-2 inline" size={20} />}1. A site
          </p>
          <p className="mb-2 text-soft">
            Its country brings the rule sets, its time zone says when a day ends there.
          </p>
          <Button weight={sites.length === 0 ? 'main' : 'plain'} onClick={() => setAdding('site')}>
            Add a site
          </Button>
        </li>
        <li className="rule-b py-4">
          <p className="text-lg font-semibold">2. A machine</p>
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
        <li className="py-4">
          <p className="text-lg font-semibold">3. Your crew</p>
          <p className="text-soft">
            Under{' '}
            <Link to="/company" className="font-semibold text-green underline underline-offset-4">
              Company
            </Link>
            : add who works with you, and give each a link to sign in by.
          </p>
        </li>
      </ol>
      <Adding what={adding} onChange={setAdding} />
    </section>
  );
}
