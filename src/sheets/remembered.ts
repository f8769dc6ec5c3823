/** A list says the same words again and again: what a word comes to is worked out once. */

/** No list has so many different words that it would pay to keep more. */
const MOST = 20_000;

/** `work` must depend on its text alone. */
export function remembered<Value>(work: (text: string) => Value): (text: string) => Value {
  const known = new Map<string, Value>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined || known.has(text)) return before as Value;
    if (known.size >= MOST) known.clear();
    const value = work(text);
    known.set(text, value);
    return value;
  };
}
