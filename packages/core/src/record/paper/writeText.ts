import type { WrittenPaper, PaperBlock } from './paper.ts';

/** The whole paper as plain text, line by line, for a screen reader or a plain printer. */
export function writePaperText({ title, sections }: WrittenPaper): string {
  const lines = sections.flatMap(({ heading, blocks }) => ['', heading.toUpperCase(), ...blocks.flatMap(writeBlock)]);
  return [title, ...lines, ''].join('\n');
}

function writeBlock(block: PaperBlock): string[] {
  switch (block.kind) {
    case 'text':
      return [block.text];
    case 'under':
      return ['', block.text];
    case 'facts':
      return block.facts.map(([label, value]) => `${label}: ${value}`);
    case 'list':
      return block.items.map((item) => `- ${item}`);
    case 'table':
      return [
        block.caption,
        ...block.rows.map((row) =>
          row.flatMap((cell, i) => (cell ? `${block.columns[i]!.title}: ${cell}` : [])).join('; '),
        ),
      ];
    case 'pictures':
      return block.pictures.map(({ caption }) => `Picture: ${caption}`);
    case 'pairs':
      return block.pairs.map(({ side }) => `Pictures of the ${side}, before and after`);
  }
}
