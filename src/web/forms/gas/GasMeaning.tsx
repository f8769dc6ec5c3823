/** What this addition means in law: rates by both methods, threshold, headroom, what would fall due. */
import { type MassSystem, gramsDown, roomText } from '../../../core/quantity/mass';
import { mergedObligations, obligationKey, openObligations } from '../../../core/rules/obligation';
import type { LeakLabels } from '../../../core/logbook/leakLabels';
import type { Standing } from '../../../core/rules/standing';
import { headroomSummary, unjudgedSummary } from '../../../core/rules/summary';
import { unjudged } from '../../../core/rules/unjudged';
import { RodDrawing } from '../../parts/Rod';
import { WorkingDisclosure } from '../../parts/Working';
import { METHOD_WORDS, OBLIGATION_WORDS } from '../../../words/codes';
import { dayWords } from '../../../words/dates';
import { rodWords, unjudgedSentence } from '../../../words/rod';
import { headroomWorking } from '../../../words/working';
import type { MachineView } from '../../data/api/machineView';
import type { GasPreview } from '../../data/api/gasPreview';
import { RateLines } from './RateLines';

interface Props {
  preview: GasPreview | null;
  view: MachineView;
  added: boolean;
}

export function GasMeaning({ preview, view, added }: Props) {
  const { standing: present, system, names } = view;
  const labels = names.leaks;
  const standing = preview?.after ?? present;
  const rod = headroomSummary(standing);
  const before = (preview?.before ?? present).headroom;
  return (
    <section aria-label="What this means" aria-live="polite" className="rule-t rule-b mb-3 bg-card px-3 py-2">
      <RodDrawing size="full" rod={rod} system={system} />
      <p className="flex flex-wrap justify-between gap-x-4 font-semibold">
        <span className={rod.limit && rod.exceeded ? 'text-brick' : ''}>{rodWords(rod, system)}</span>
        <span className="font-normal text-soft">{rod.limit && METHOD_WORDS[rod.method]}</span>
      </p>
      {before.known && (
        <WorkingDisclosure
          label={`Room before this entry: ${roomText(gramsDown(before.headroom.free), system)}`}
          working={headroomWorking(before.headroom, preview?.before ?? present, system, labels)}
        />
      )}
      {preview && added && <Rates preview={preview} system={system} labels={labels} />}
      {preview && !added && (
        <p>Recovered gas is repaid first when it goes back, so that only the rest counts as leaked.</p>
      )}
      {preview && <Follows preview={preview} present={present} />}
    </section>
  );
}

function Rates({ preview, system, labels }: { preview: GasPreview; system: MassSystem; labels: LeakLabels }) {
  const { rate, after } = preview;
  if (preview.sense.fullChargeUnknown) {
    return (
      <p className="font-semibold text-ochre">
        {unjudgedOf(after, system)} The entry is kept all the same, and the rate appears once the charge is
        set.
      </p>
    );
  }
  if (!rate)
    return <p>Nothing of this counts as leaked: it repays what was taken out, or it is a first charge.</p>;
  return <RateLines rate={rate} ledger={after.ledger} system={system} labels={labels} />;
}

const unjudgedOf = (standing: Standing, system: MassSystem): string => {
  const cannot = unjudged(standing);
  return cannot
    ? unjudgedSentence(unjudgedSummary(cannot), system)
    : 'The full charge of that day is not known.';
};

/** Duties that would be there with this entry and are not without it. */
function Follows({ preview, present }: { preview: GasPreview; present: Standing }) {
  const known = new Set(present.obligations.map(obligationKey));
  const fresh = mergedObligations(
    openObligations(preview.today.obligations).filter((each) => !known.has(obligationKey(each))),
  );
  if (fresh.length === 0) return null;
  return (
    <div className="mt-2">
      <p className="font-semibold">What would follow</p>
      <ul>
        {fresh.map(({ first: each }) => (
          <li key={obligationKey(each)}>
            {OBLIGATION_WORDS[each.kind]} by {dayWords(each.due)}
          </li>
        ))}
      </ul>
    </div>
  );
}
