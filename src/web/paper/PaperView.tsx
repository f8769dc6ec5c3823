/** A paper on the screen, as it will be printed and issued. */
import clsx from 'clsx';
import { type Block, type Content, type Line, NOT_READ, type Paper, SIGNATURE_BOX } from '../../papers/paper';
import { CircuitDrawing } from '../drawing/CircuitDrawing';
import { Picture } from './Picture';

export function PaperView({ paper }: { paper: Paper }) {
  return (
    <article aria-label={paper.title} className="border border-line bg-card px-4 py-4 sm:px-6 print:border-0">
      <header className="mb-4">
        <h2 className="text-xl!">{paper.title}</h2>
        <p className="font-semibold">{paper.subject}</p>
        <dl className="mt-2 grid gap-x-4 gap-y-0.5 sm:grid-cols-[max-content_1fr]">
          {paper.facts.map(([label, words]) => (
            <div key={label} className="contents">
              <dt className="text-soft">{label}</dt>
              <dd className="max-sm:mb-1 min-w-0 break-words">{words}</dd>
            </div>
          ))}
        </dl>
      </header>
      {runsOf(paper.blocks).map((run, index) => (
        <div key={index} className={run[0]?.wide ? '' : 'gap-x-8 sm:columns-2'}>
          {run.map((block) => (
            <BlockView key={block.title} block={block} />
          ))}
        </div>
      ))}
    </article>
  );
}

/** Narrow blocks that follow each other share two columns; a wide one stands alone. */
function runsOf(blocks: readonly Block[]): Block[][] {
  const runs: Block[][] = [];
  for (const block of blocks) {
    const last = runs.at(-1);
    if (last && !block.wide && !last[0]?.wide) last.push(block);
    else runs.push([block]);
  }
  return runs;
}

function BlockView({ block }: { block: Block }) {
  return (
    <section aria-label={block.title} className="mb-4 break-inside-avoid">
      <h3 className="rule-b mb-1 font-bold">{block.title}</h3>
      {block.contents.map((content, index) => (
        <ContentView key={index} content={content} />
      ))}
    </section>
  );
}

function ContentView({ content }: { content: Content }) {
  switch (content.type) {
    case 'lines':
      return (
        <ul aria-label={content.label}>
          {content.lines.map((line, index) => (
            <LineView key={index} line={line} />
          ))}
        </ul>
      );
    case 'table':
      return content.compares ? <CompareTable {...content} /> : <TableView {...content} />;
    case 'photos':
      return (
        <ul className="grid gap-3 sm:grid-cols-2">
          {content.groups.map((group) => (
            <li key={group[0]?.file} className="grid grid-cols-2 gap-2">
              {group.map((photo) => (
                <span key={photo.file} className={group.length === 1 ? 'col-span-2' : ''}>
                  <Picture {...photo} />
                  {photo.words}
                </span>
              ))}
            </li>
          ))}
        </ul>
      );
    case 'drawing':
      return (
        <figure>
          <CircuitDrawing
            map={content.map}
            label={content.said}
            shown={({ id }) => ({ leaks: content.leaks[id] ?? 0 })}
          />
          <figcaption className="text-soft">{content.said}</figcaption>
        </figure>
      );
    case 'signature':
      return (
        <svg
          viewBox={`0 0 ${String(SIGNATURE_BOX.width)} ${String(SIGNATURE_BOX.height)}`}
          className="h-20"
          role="img"
          aria-label={`Signature of ${content.name}`}
        >
          <path d={content.path} fill="none" strokeWidth={2.2} strokeLinecap="round" className="stroke-ink" />
        </svg>
      );
  }
}

const SIGN = { strong: '', warning: '◐ ', absent: '' } as const;

function LineView({ line: { label, words, but, weight } }: { line: Line }) {
  return (
    <li
      className={clsx(
        'break-words',
        weight === 'strong' && 'font-semibold',
        weight === 'warning' && 'font-semibold text-ochre',
        weight === 'absent' && 'text-soft',
      )}
    >
      {weight && SIGN[weight]}
      {label !== undefined && <span className="text-soft">{label} </span>}
      {words}
      {but && <span className="font-semibold"> {but}</span>}
    </li>
  );
}

interface Table {
  caption: string;
  head: readonly string[];
  rows: readonly (readonly string[])[];
}

/** Side by side on a phone too: what it compares would be apart in blocks. */
export function CompareTable({ caption, head, rows }: Table) {
  return (
    <div className="overflow-x-auto">
      <table className="w-full text-left">
        <caption className="sr-only">{caption}</caption>
        <thead>
          <tr className="rule-b">
            {head.map((each) => (
              <th key={each} scope="col" className="py-1 pr-3 font-semibold">
                {each}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, ...cells]) => (
            <tr key={name} className="rule-b">
              <th scope="row" className="py-1 pr-3 font-normal text-soft">
                {name}
              </th>
              {cells.map((cell, index) => (
                <td key={index} className={clsx('py-1 pr-3 tabular-nums', cell === NOT_READ && 'text-soft')}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** On a phone each row becomes a block with its headings. */
function TableView({ caption, head, rows }: Table) {
  return (
    <table className="mb-3 block w-full text-left text-[0.93rem] sm:table">
      <caption className="sr-only">{caption}</caption>
      <thead className="hidden sm:table-header-group">
        <tr className="rule-b">
          {head.map((each) => (
            <th key={each} scope="col" className="py-1 pr-3">
              {each}
            </th>
          ))}
        </tr>
      </thead>
      <tbody className="block sm:table-row-group">
        {rows.map((row, index) => (
          <tr key={index} className="rule-b block py-1 sm:table-row">
            {row.map((cell, at) => (
              <td key={at} className="block break-words align-top sm:table-cell sm:py-1 sm:pr-3">
                <span className="mr-2 text-soft sm:hidden">{head[at]}:</span>
                {cell}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}
