/** Which method shows what, what none of them sees, and how many leaks of this machine each has found. */
import { BLIND_WORDS, METHOD_NAMES, methodWords } from '../../../words/leaks';
import { useVisit } from '../visitContext';
import { countWords } from '../../../words/counts';

export function MethodTable() {
  const { view } = useVisit();
  const found = new Map<string, number>();
  for (const { entry } of view.standing.history.entries)
    if (entry.kind === 'leakFound')
      for (const method of entry.methods ?? []) found.set(method, (found.get(method) ?? 0) + 1);
  return (
    <table className="w-full text-left">
      <thead>
        <tr className="rule-b">
          <th scope="col" className="py-1 pr-3 font-semibold">
            Method
          </th>
          <th scope="col" className="py-1 pr-3 font-semibold">
            It does not see
          </th>
          <th scope="col" className="py-1 font-semibold">
            Found here
          </th>
        </tr>
      </thead>
      <tbody>
        {Object.keys(METHOD_NAMES).map((method) => (
          <tr key={method} className="rule-b align-top">
            <th scope="row" className="py-1 pr-3 font-semibold">
              {methodWords(method)}
            </th>
            <td className="py-1 pr-3">{BLIND_WORDS[method as keyof typeof METHOD_NAMES]}</td>
            <td className="py-1 whitespace-nowrap">
              {found.has(method) ? countWords(found.get(method) ?? 0, 'leak') : 'none on record'}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
