/** What looks odd, each with room for the reason that lets it pass. */
import type { SenseWarning } from '../../../core/logbook/sense';
import { TextField } from '../../parts/Field';
import { WARNING_WORDS } from '../../../words/refusals';

type Accepted = Partial<Record<SenseWarning, string>>;

export function Warnings({
  warnings,
  accepted,
  onChange,
  tried,
}: {
  warnings: readonly SenseWarning[];
  accepted: Accepted;
  onChange: (accepted: Accepted) => void;
  tried: boolean;
}) {
  return warnings.map((warning) => (
    <div key={warning} className="mb-4 border-l-4 border-ochre pl-3">
      <p className="font-semibold text-ochre">{WARNING_WORDS[warning]}</p>
      <TextField
        label="If it is so, why"
        value={accepted[warning] ?? ''}
        onChange={(event) => onChange({ ...accepted, [warning]: event.target.value })}
        error={tried && !accepted[warning]?.trim() ? 'Give the reason, or correct the entry.' : null}
      />
    </div>
  ));
}
