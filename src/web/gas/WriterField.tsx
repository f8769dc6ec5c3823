/** Who is writing: asked in a form only while nobody was chosen on this device. */
import { useWriter } from '../app/writer';
import { SelectField } from '../parts/Field';

export function WriterField({ error }: { error?: string | undefined }) {
  const { people, person, choose } = useWriter();
  if (people.length === 0) {
    return (
      <p className="mb-4 font-semibold text-ochre">
        Nobody is on the list yet. Add your name under “Who?” first.
      </p>
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
        ...people.map((each) => ({ value: each.id, words: each.name })),
      ]}
    />
  );
}
