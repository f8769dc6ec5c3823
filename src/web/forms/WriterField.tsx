/** Under whose name a form writes. */
import { useWriter } from '../data/device/writer';

export function WriterField() {
  const { person, writtenBy } = useWriter();
  if (!person) return null;
  return (
    <p className="text-soft">
      {writtenBy === null ? `Written by ${person.name}.` : `Written for ${person.name}, by ${writtenBy}.`}
    </p>
  );
}
