/** Documents that can be issued of a machine. */
import type { PaperRequest } from '../../contract/papers';
import { DOCUMENT_WORDS } from '../../words/papers';
import type { MachineView } from '../data/api/machineView';
import { issueAddress } from '../data/addresses/paperAddress';
import { ButtonLink } from '../parts/Button';
import { Fold } from '../parts/Fold';

export function PapersOf({ view: { machine, standing } }: { view: MachineView }) {
  const { id } = machine.appliance;
  const seasonal = standing.history.gas.some(
    ({ entry }) => entry.kind !== 'retrofitted' && entry.reason === 'seasonal',
  );
  const papers: { words: string; request: PaperRequest }[] = [
    { words: DOCUMENT_WORDS.machineRecord, request: { document: 'machineRecord', machine: id } },
    { words: DOCUMENT_WORDS.fullCharge, request: { document: 'fullCharge', machine: id } },
    ...(seasonal
      ? [{ words: DOCUMENT_WORDS.seasonal, request: { document: 'seasonal' as const, machine: id } }]
      : []),
    ...standing.years.toReversed().map(({ year, chronic }) => ({
      words: `Lost in ${String(year)}${chronic ? ': report due' : ''}`,
      request: { document: 'chronicReport' as const, machine: id, year },
    })),
  ];
  return (
    <Fold title="Papers" about="issue a document of this machine">
      <ul className="flex flex-wrap gap-2">
        {papers.map(({ words, request }) => (
          <li key={words}>
            <ButtonLink to={issueAddress(request)}>{words}</ButtonLink>
          </li>
        ))}
        <li>
          <ButtonLink to={`/papers/labels?machine=${encodeURIComponent(id)}`}>Labels</ButtonLink>
        </li>
      </ul>
    </Fold>
  );
}
