import { sumLeft, type Proposal, type ProposalKind } from '@sardonyx/core';
import { Radios } from '../../../shared/ui/Radios.tsx';
import { nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';

const WORDS: Readonly<Record<ProposalKind, string>> = {
  nearest: 'Nearest',
  'fewer paints': 'Fewer paints',
  cheaper: 'Cheaper',
  'from the nearest pot': 'From the nearest pot',
  'leftovers only': 'Leftovers only',
};

interface ProposalListProps {
  readonly proposals: readonly Proposal[];
  readonly chosen: Proposal;
  readonly onChoose: (kind: ProposalKind) => void;
}

/** What else could be mixed, each with what it costs and how far it is off; choosing one shows it. */
export function ProposalList({ proposals, chosen, onChoose }: ProposalListProps) {
  const { shelf } = useColourBench();
  return (
    <Radios
      label="Ways to it"
      isList
      value={chosen.kind}
      options={proposals.map(({ kind }) => kind)}
      onChange={onChoose}
      describe={describe}
    />
  );

  function describe(kind: ProposalKind) {
    const { lines, de65, deA, cost } = proposals.find((one) => one.kind === kind)!;
    return (
      <span className="flex items-baseline gap-3">
        <span className="grow">
          <strong>{WORDS[kind]}</strong>: {lines.map(({ productId }) => nameOfProduct(shelf, productId)).join(', ')}
          <span className="block text-note text-soft-ink">{listUsedUp(lines)}</span>
        </span>
        <span className="figure shrink-0 text-right text-note">
          {de65.toFixed(1)} by day, {deA.toFixed(1)} by lamp
          <span className="block">cost {cost.toFixed(2)}</span>
        </span>
      </span>
    );
  }

  /** "uses up Black" where a pot would be all but empty. */
  function listUsedUp(lines: Proposal['lines']): string {
    const used = lines.flatMap(({ productId, ml }) => {
      const left = sumLeft(shelf.pots, productId);
      return left - ml < 0.5 ? [`${nameOfProduct(shelf, productId)} (${formatMl(Math.max(0, left - ml))} left)`] : [];
    });
    return used.length ? `uses up ${used.join(', ')}` : '';
  }
}
