/** The bench: every calculator under the question that people ask. */
import { useState } from 'react';
import { Link } from 'react-router';
import { SearchInput } from '../parts/SearchInput';
import { Empty, Page } from '../parts/Page';
import { calculatorsWith } from '../../record/calculators';
import { BenchUnits } from './parts/BenchUnits';

export default function BenchHome() {
  const [text, setText] = useState('');
  const groups = calculatorsWith(text);
  return (
    <Page title="Bench" subtitle="A quick answer, with or without a machine. Each shows its working.">
      <BenchUnits />
      <SearchInput
        label="Find a calculator"
        placeholder="What do you want to know? Such as: hose, vacuum, superheat"
        className="mb-5 max-w-xl"
        value={text}
        onChange={setText}
      />
      <div className="grid gap-x-10 lg:grid-cols-2">
        {groups.map((group) => (
          <section key={group.title} aria-label={group.title} className="mb-7">
            <h2 className="rule-b pb-1">{group.title}</h2>
            <ul>
              {group.calculators.map((each) => (
                <li key={each.name} className="rule-b">
                  <Link to={`/bench/${each.name}`} className="flex min-h-14 items-start gap-3 py-2">
                    <span
                      aria-hidden="true"
                      className="mt-0.5 inline-block h-5 w-2.5 shrink-0 rounded-[50%] bg-green"
                    />
                    <span>
                      <span className="font-semibold">{each.question}</span>
                      <span className="block text-soft">{each.title}</span>
                    </span>
                  </Link>
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
      {groups.length === 0 && (
        <Empty title="No calculator has these words">
          Try one word, such as hose, vacuum, bottle or leak.
        </Empty>
      )}
    </Page>
  );
}
