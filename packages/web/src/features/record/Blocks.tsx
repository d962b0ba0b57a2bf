import type { PaperBlock, PaperPicture } from '@sardonyx/core';
import { PlainTable } from '../../shared/ui/PlainTable.tsx';

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
      return (
        <PlainTable
          label={block.caption}
          headings={block.columns.map(({ title }) => title)}
          rows={block.rows}
          widths={block.columns.map(({ width }) => width)}
          tableClassName="w-full min-w-[36rem] table-fixed"
          cellClassName="break-words py-1 pr-3"
        />
      );
    case 'pictures':
      return <Pictures pictures={block.pictures} />;
    case 'pairs':
      return <Pictures pictures={block.pairs.flatMap(({ before, after }) => [before, after])} />;
  }
}

const Pictures = ({ pictures }: { readonly pictures: readonly PaperPicture[] }) => (
  <div className="grid gap-4 sm:grid-cols-2 min-[1000px]:grid-cols-3">
    {pictures.map((picture, i) => (
      <Picture key={i} {...picture} />
    ))}
  </div>
);

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
