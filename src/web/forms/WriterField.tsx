/** Who is writing: asked in a form only while nobody was chosen on this device. */
import { AddPerson } from './AddPerson';
import { useWriter } from '../data/device/writer';
import { SelectField } from '../parts/Field';

export function WriterField({ error }: { error?: string | undefined }) {
  const { here, listed, person, choose } = useWriter();
  if (!listed) return null;
  if (here.length === 0) {
    return (
      <div className="rule-t mt-2 pt-3">
        {error && (
          <p role="alert" className="mb-2 font-semibold text-brick">
            {error}
          </p>
        )}
        <AddPerson label="Your name" />
      </div>
    );
  }
  if (person) return <p className="text-soft">Written by {person.name}.</p>;
  return (
    <SelectField
      label="Who is writing"
      value=""
      onChange={(event) => choose(event.target.value)}
      error={error ?? null}
      choices={[
        { value: '', words: 'Choose your name' },
        ...here.map((each) => ({ value: each.id, words: each.name })),
      ]}
    />
  );
}
