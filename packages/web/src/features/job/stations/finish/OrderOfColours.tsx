import { nameOfArea, priceSchools, type ColourOrder, type SchoolOption, type SpecimenPart } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { useGetShelfQuery } from '../../../../shared/api/api.ts';
import { Radios } from '../../../../shared/ui/Radios.tsx';
import { useJob } from '../../JobContext.tsx';
import { useDecide } from '../../useDecide.ts';
import { usePlanContext } from '../../usePlanContext.ts';

/** A saving is worth a word from here on, minutes. */
const WORTH_MIN = 2;

/** The colours of the part in the order in which they go on, with the price of each way to order them. */
export function OrderOfColours({ part }: { readonly part: SpecimenPart }) {
  const { specimen, isClosed } = useJob();
  const { data: shelf } = useGetShelfQuery();
  const { option } = usePlanContext();
  const decide = useDecide('S8');
  const [problem, setProblem] = useState('');
  const facts = specimen.facts.parts.find(({ key }) => key === part.key);
  const prices = useMemo(
    () =>
      shelf && facts && facts.colourOrder.length > 1
        ? priceSchools({
            partKey: part.key,
            areas: specimen.areas.filter(({ specimenPartId }) => specimenPartId === part.id),
            layers: specimen.layers,
            paints: shelf.products,
            drawing: specimen.casting?.casting.drawing ?? null,
            foundHex: facts.foundColour?.hex ?? null,
          })
        : null,
    [shelf, facts, specimen, part],
  );
  if (!prices) return null;
  const school = option('S8');
  const nameOf = (key: string) => {
    const area = specimen.areas.find(({ id }) => id === key);
    return area ? nameOfArea(area) : key;
  };
  const say = ({ steps }: ColourOrder) => steps.map(({ key }) => nameOf(key)).join(' → ');
  const isOne = Object.values(prices).every((order) => say(order) === say(prices[school]));
  const saving = prices[school].minutes - prices['the cheapest'].minutes;
  const isOnlyPart = specimen.facts.parts.every(({ key, colourOrder }) => key === part.key || colourOrder.length < 2);
  return (
    <section aria-label={`Order of the colours of the ${part.name.toLowerCase()}`} className="space-y-2">
      <p>
        Its colours go on <strong>{say(prices[school])}</strong>:{' '}
        <span className="figure">{Math.round(prices[school].minutes)} min</span> of tape, coats and gun{' '}
        <span className="text-soft-ink">(planning estimate)</span>.
        {saving >= WORTH_MIN && (
          <>
            {' '}
            The cheapest way saves <strong className="figure">{Math.round(saving)} min</strong>:{' '}
            {say(prices['the cheapest'])}.
          </>
        )}
        {sayGrounds(prices[school]).map((text) => ` ${text}`)}
      </p>
      {isOne && (
        <p className="text-note text-soft-ink">
          Light to dark, by masking, by covering power: it is the cheapest order by any of them.
        </p>
      )}
      {!isClosed && !isOne && (
        <Radios
          label="Order of colours"
          look="unseen"
          value={school}
          options={(Object.keys(prices) as SchoolOption<'S8'>[]).map((one) => ({
            value: one,
            label: `${one} · ${Math.round(prices[one].minutes)} min`,
          }))}
          onChange={(next) => void take(next)}
        />
      )}
      {!isClosed && !isOne && !isOnlyPart && (
        <p className="text-note text-soft-ink">
          The minutes are of the {part.name.toLowerCase()}; the answer holds for every part of the job.
        </p>
      )}
      {problem && (
        <p role="alert" className="border-l-4 border-sard pl-3">
          {problem}
        </p>
      )}
    </section>
  );

  async function take(next: SchoolOption<'S8'>) {
    if (!prices) return;
    const [minutes, least] = [prices[next], prices['the cheapest']].map((order) => Math.round(order.minutes));
    const refused = await decide(
      next,
      `By its price on the ${part.name.toLowerCase()}: ${minutes} min, the cheapest ${least}.`,
    );
    setProblem(refused?.message ?? '');
  }

  /** A weak pale colour over a dark one wants a light ground of its own. */
  function sayGrounds({ steps }: ColourOrder): string[] {
    const on = steps.filter(({ hasGround }) => hasGround).map(({ key }) => nameOf(key));
    return on.length ? [`On the ${on.join(', ')} a light ground of its own goes first.`] : [];
  }
}
