/** Documents that can be issued of a machine. */
import { DOCUMENTS, type PaperRequest, factsOfDocument } from '../../contract/papers';
import type { MachineView } from '../data/api/machineView';
import { issueAddress } from '../data/addresses/paperAddress';
import { ForWriters } from '../data/api/ForWriters';
import { ButtonLink } from '../parts/Button';
import { Fold } from '../parts/Fold';

/** Documents that need nothing but a machine. */
const OF_A_MACHINE = DOCUMENTS.filter((kind) => factsOfDocument(kind).needs.join() === 'machine');

export function PapersOf({ view: { machine, standing } }: { view: MachineView }) {
  const { id } = machine.appliance;
  const seasonal = standing.history.gas.some(
    ({ entry }) => entry.kind !== 'retrofitted' && entry.reason === 'seasonal',
  );
  const papers: { words: string; request: PaperRequest }[] = [
    ...OF_A_MACHINE.filter((kind) => kind !== 'seasonal' || seasonal).map((document) => ({
      words: factsOfDocument(document).name,
      request: { document, machine: id },
    })),
    ...standing.years.toReversed().map(({ year, chronic }) => ({
      words: `Lost in ${String(year)}${chronic ? ': report due' : ''}`,
      request: { document: 'chronicReport' as const, machine: id, year },
    })),
  ];
  return (
    <Fold title="Papers" about="documents of this machine">
      <ul className="flex flex-wrap gap-2">
        {papers.map(({ words, request }) => (
          <li key={words}>
            <ButtonLink to={issueAddress(request)}>{words}</ButtonLink>
          </li>
        ))}
        <ForWriters of="labels">
          <li>
            <ButtonLink to={`/papers/labels?machine=${encodeURIComponent(id)}`}>Labels</ButtonLink>
          </li>
        </ForWriters>
      </ul>
    </Fold>
  );
}
