import type { CastingView } from '@sardonyx/contract';
import { computeToolOrder, formatPercent, type IdentifyCatalogue } from '@sardonyx/core';
import { useState } from 'react';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetCatalogueQuery, useGetIdentifyCatalogueQuery } from '../../shared/api/api.ts';

/** Which of two tools of a range came first, from spans and from the years in which their features were used. */
export function ToolOrder({ view }: { readonly view: CastingView }) {
  const { data: catalogue } = useGetCatalogueQuery();
  const [otherId, setOtherId] = useState('');
  const { data: own } = useGetIdentifyCatalogueQuery(view.casting.id);
  const { data: other } = useGetIdentifyCatalogueQuery(otherId, { skip: !otherId });
  const rivals = (catalogue?.castings ?? []).filter(
    (entry) => entry.rangeName === view.range.name && entry.id !== view.casting.id && entry.variantCount > 0,
  );
  if (rivals.length === 0 || view.variants.length === 0) return null;
  const name = (number: string, title: string) => `${number} ${title}`;
  const rival = rivals.find((entry) => entry.id === otherId);
  return (
    <section aria-label="Which tool came first">
      <h2>Which tool came first?</h2>
      <Field label={`${name(view.casting.number, view.casting.name)} or`} isQuiet>
        <Select
          value={otherId}
          placeholder="choose another tool of the range"
          options={rivals.map((entry) => ({ value: entry.id, label: name(entry.number, entry.name) }))}
          onChange={setOtherId}
        />
      </Field>
      {own && other && rival && (
        <Order
          {...{ own, other }}
          names={[name(view.casting.number, view.casting.name), name(rival.number, rival.name)]}
        />
      )}
    </section>
  );
}

interface OrderProps {
  readonly own: IdentifyCatalogue;
  readonly other: IdentifyCatalogue;
  readonly names: readonly [string, string];
}

function Order({ own, other, names }: OrderProps) {
  const features = [...own.features, ...other.features.filter(({ id }) => own.features.every((one) => one.id !== id))];
  const both = { ...own, features, variants: [...own.variants, ...other.variants] };
  const order = computeToolOrder(
    both,
    own.variants.map(({ id }) => id),
    other.variants.map(({ id }) => id),
  );
  const isOwn = order.firstIsEarlier >= 0.5;
  const chance = isOwn ? order.firstIsEarlier : 1 - order.firstIsEarlier;
  return (
    <div role="status" className="mt-2">
      <p className="font-semibold">
        {chance < 0.6
          ? `Open: what is known says ${formatPercent(chance)} for ${names[isOwn ? 0 : 1]}.`
          : `${names[isOwn ? 0 : 1]} came first: ${formatPercent(chance)}.`}
      </p>
      <ul>
        {order.reasons.map(({ feature, firstIsEarlier, states }) => (
          <li key={feature.id} className="border-t border-hairline py-1">
            {feature.label}: {states[0]} against {states[1]}{' '}
            <span className="text-soft-ink">
              (alone {formatPercent(Math.max(firstIsEarlier, 1 - firstIsEarlier))} for{' '}
              {firstIsEarlier >= 0.5 ? names[0] : names[1]})
            </span>
          </li>
        ))}
      </ul>
      <p className="text-note text-soft-ink">
        For any one model of each; the years of a state are those of the whole range, one in twenty may lie outside them
        (planning estimate).
      </p>
    </div>
  );
}
