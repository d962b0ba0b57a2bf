import { judgePart, PROCESSES, type PartVerdict, type Verdict } from '@sardonyx/core';
import { Sign, type SignName } from '../../../../shared/ui/Sign.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { capitalise } from '../../../../shared/format.ts';
import { useJob } from '../../JobContext.tsx';
import { usePlanContext } from '../../usePlanContext.ts';

const WORDS: Readonly<Record<Verdict, { readonly mark: SignName; readonly heading: string }>> = {
  fine: { mark: 'done', heading: 'Stands it' },
  'with care': { mark: 'care', heading: 'With care' },
  'test first': { mark: 'unknown', heading: 'Not known: test on a hidden spot' },
  never: { mark: 'never', heading: 'Never' },
};
const ORDER: readonly Verdict[] = ['fine', 'with care', 'test first', 'never'];

/** What the part in hand may meet, and what it must not: the strictest of all that is in it and on it. */
export function WhatItStands() {
  const { specimen, partId } = useJob();
  const { materialsOf, partOf } = usePlanContext();
  const part = specimen.parts.find((one) => one.id === partId) ?? specimen.parts[0];
  if (!part) return null;
  const materials = materialsOf(partOf(part.key));
  const verdicts = PROCESSES.map((process) => judgePart(materials, process));
  return (
    <section aria-label={`What may touch it: ${part.name}`}>
      <h2>{part.name}: what may touch it</h2>
      <p className="text-soft-ink">
        {capitalise(materials.join(', '))}
        {part.materialCertainty === 'unsure' && ' (nobody is sure: treat it as the strictest it may be)'}. Product
        sheets go first; limits without a sheet are planning estimates.
      </p>
      {ORDER.map((verdict) => (
        <Group
          key={verdict}
          verdict={verdict}
          list={verdicts.filter((one) => one.verdict === verdict)}
          own={materials[0]!}
        />
      ))}
    </section>
  );
}

interface GroupProps {
  readonly verdict: Verdict;
  readonly list: readonly PartVerdict[];
  readonly own: string;
}

function Group({ verdict, list, own }: GroupProps) {
  if (list.length === 0) return null;
  const { mark, heading } = WORDS[verdict];
  return (
    <Fold
      className="border-t border-hairline py-1"
      isOpen={verdict !== 'never'}
      title={
        <>
          <Sign of={mark} />
          {heading}: {list.map((one) => one.process).join(', ')}
        </>
      }
    >
      <ul className="pl-5">
        {list.map((one) => (
          <li key={one.process} className="py-0.5">
            <strong>{capitalise(one.process)}</strong>: {one.reason}
            {one.material !== own && <span className="text-soft-ink"> ({one.material})</span>}
            {one.limit && <span className="text-soft-ink">. {capitalise(one.limit)}</span>}
          </li>
        ))}
      </ul>
    </Fold>
  );
}
