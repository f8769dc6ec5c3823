/** Rules: the packs side by side, each figure with its source, the company's own figures, methods per site. */
import { useSearchParams } from 'react-router';
import { PACK_IDS, type PackId } from '../../core/logbook/packNames';
import { usePacks } from '../data/api/standing';
import { useRules } from '../data/api/queries';
import { useWriter } from '../data/device/writer';
import { Loaded, Page, Section } from '../parts/Page';
import { Choices } from '../parts/Choices';
import { PACK_WORDS } from '../../words/codes';
import { dateWords } from '../../words/dates';
import { Methods } from './Methods';
import { PackDetail } from './PackDetail';
import { PackTable } from './PackTable';

export default function RulesPage() {
  const packs = usePacks();
  const rules = useRules();
  const { people } = useWriter();
  const [params, setParams] = useSearchParams();
  const chosen: PackId = PACK_IDS.find((id) => id === params.get('pack')) ?? 'us-hfc';
  return (
    <Page title="Rules" subtitle="Which rule sets are computed, with every figure and where it stands">
      <p className="mb-6 max-w-prose border-l-4 border-ochre pl-3">
        These are working summaries for planning. Check the current text with the authority; your licence, the
        manufacturer’s manual and local rules decide.
      </p>
      <Section title="Side by side">
        <PackTable packs={packs} />
      </Section>
      <Section title="Every figure of one rule set">
        <Choices
          label="Rule set"
          value={chosen}
          onChange={(pack) => setParams({ pack })}
          choices={PACK_IDS.map((value) => ({ value, words: PACK_WORDS[value] }))}
        />
        <PackDetail pack={packs[chosen]} />
      </Section>
      <Methods />
      <Section title="The company’s own figures">
        <Loaded query={rules}>
          {({ amendments }) =>
            amendments.length === 0 ? (
              <p className="text-soft">
                None. A changed figure holds from its day on; what was computed for earlier days keeps the one
                that it used.
              </p>
            ) : (
              <ul>
                {amendments.map((each) => (
                  <li key={each.recordedAt + each.figure.join('.')} className="rule-b py-2">
                    <span className="font-semibold">
                      {PACK_WORDS[each.pack]}: {each.figure.join(', ')} = {each.value}
                    </span>{' '}
                    from {dateWords(each.from)}
                    <span className="block text-soft">
                      {people.find(({ id }) => id === each.by)?.name ?? each.by}: {each.reason}
                    </span>
                  </li>
                ))}
              </ul>
            )
          }
        </Loaded>
      </Section>
    </Page>
  );
}
