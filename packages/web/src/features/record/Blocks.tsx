import type { PaperBlock, PaperPicture } from '@sardonyx/core';

/** Blocks of a paper on the page: the same words in the same order as in print. */
export const Blocks = ({ blocks }: { readonly blocks: readonly PaperBlock[] }) => (
  <>
    {blocks.map((block, i) => (
      <Block key={i} block={block} />
    ))}
  </>
);

function Block({ block }: { readonly block: PaperBlock }) {
  switch (block.kind) {
    case 'text':
      return <p className="max-w-[46rem]">{block.text}</p>;
    case 'under':
      return <h3 className="pt-2 font-semibold">{block.text}</h3>;
    case 'facts':
      return (
        <dl className="grid grid-cols-[minmax(7rem,11rem)_1fr] gap-x-4 gap-y-1">
          {block.facts.map(([label, value], i) => (
            <div key={i} className="contents">
              <dt className="text-soft-ink">{label}</dt>
              <dd className="min-w-0 break-words">{value}</dd>
            </div>
          ))}
        </dl>
      );
    case 'list':
      return (
        <ul className="max-w-[56rem] list-disc space-y-1 pl-5">
          {block.items.map((item, i) => (
            <li key={i}>{item}</li>
          ))}
        </ul>
      );
    case 'table':
      return <PaperTable {...block} />;
    case 'pictures':
      return (
        <div className="grid gap-4 sm:grid-cols-2 min-[1000px]:grid-cols-3">
          {block.pictures.map((picture) => (
            <Picture key={picture.sha256 + picture.caption} {...picture} />
          ))}
        </div>
      );
    case 'pairs':
      return null;
  }
}

function PaperTable({ caption, columns, rows }: Extract<PaperBlock, { kind: 'table' }>) {
  const all = columns.reduce((sum, { width }) => sum + width, 0);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label={caption}>
      <table className="w-full min-w-[36rem] table-fixed text-left">
        <caption className="sr-only">{caption}</caption>
        <thead>
          <tr>
            {columns.map(({ title, width }) => (
              <th
                key={title}
                scope="col"
                className="py-1 pr-3 align-bottom"
                style={{ width: `${(100 * width) / all}%` }}
              >
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i} className="border-t border-hairline">
              {row.map((cell, k) => (
                <td key={k} className="py-1 pr-3 align-top break-words">
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

function Picture({ sha256, caption, widthPx, heightPx }: PaperPicture) {
  return (
    <figure className="space-y-1">
      <img
        src={`/api/photos/${sha256}/full`}
        alt={caption}
        loading="lazy"
        className="w-full border border-hairline"
        style={{ aspectRatio: `${widthPx} / ${heightPx}` }}
      />
      <figcaption className="text-note text-soft-ink">{caption}</figcaption>
    </figure>
  );
}
