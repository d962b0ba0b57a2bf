import type { CastingView } from '@sardonyx/contract';
import { lazy, Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { useGetCastingQuery } from '../../shared/api/api.ts';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { EmptyNote, LoadingNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';

const VariantTimeline = lazy(() =>
  import('./VariantTimeline.tsx').then((module) => ({ default: module.VariantTimeline })),
);

/** One casting: its issues along the years, its parts and how it holds together. */
export function CastingPage() {
  const { castingId = '' } = useParams();
  const { data, error } = useGetCastingQuery(castingId);
  if (!data) return <Pending what="the casting" error={error} />;
  const { casting, maker, range, variants, parts, joints, sources } = data;
  const rarest = [...variants].sort((a, b) => b.rarity - a.rarity)[0];
  return (
    <div className="mx-auto max-w-[84rem] space-y-6 p-4">
      <div>
        <p className="text-soft-ink">
          <Link className="underline underline-offset-4" to="/catalogue">
            Catalogue
          </Link>{' '}
          · {maker.name} · {range.name}
        </p>
        <h1>
          {casting.number} {casting.name}
          {variants.length > 0 &&
            `: ${variants.length} issues, ${Math.floor(Math.min(...variants.map((v) => v.startEarliest)))} to ${Math.floor(Math.max(...variants.map((v) => v.endLatest)))}`}
        </h1>
        <p className="text-soft-ink">
          {casting.lengthMm} mm long, wheelbase {casting.wheelbaseMm} mm. {casting.construction}
          {rarest && rarest.rarity >= 4 && ` Rarest: ${rarest.name} (${rarest.rarity} of 10). ${rarest.rarityEvidence}`}
        </p>
      </div>
      <div className="grid gap-4 md:grid-cols-[2fr_2fr_1fr]">
        {casting.drawing.views.map((view) => (
          <ModelDrawing
            key={view.view}
            view={view}
            paint={{}}
            parts={parts.map((part) => ({ key: part.key, material: part.material, state: 'sound' }))}
            label={`${casting.name}, ${view.view}`}
            className="h-44 w-full border border-hairline bg-paper"
          />
        ))}
      </div>
      {variants.length > 0 ? (
        <>
          <Suspense fallback={<LoadingNote what="the timeline" />}>
            <VariantTimeline variants={variants} />
          </Suspense>
          <VariantTable view={data} />
        </>
      ) : (
        <EmptyNote title="No issue of it is known here.">
          It can be restored all the same; Identify will say that it cannot tell them apart.
        </EmptyNote>
      )}
      <div className="grid gap-6 md:grid-cols-2">
        <section>
          <h2>Parts</h2>
          <ul>
            {parts.map((part) => (
              <li key={part.id} className="border-t border-hairline py-1">
                {part.count > 1 && `${part.count} × `}
                {part.name}{' '}
                <span className="text-soft-ink">
                  ({part.material}
                  {part.dependentBits && `; needs ${part.dependentBits}`})
                </span>
              </li>
            ))}
          </ul>
        </section>
        <section>
          <h2>Joints</h2>
          <ul>
            {joints.map((joint) => (
              <li key={joint.id} className="border-t border-hairline py-1">
                {joint.label}{' '}
                <span className="text-soft-ink">
                  ({joint.kind}):{' '}
                  {joint.ways
                    .map(
                      (way) => `${way.label.toLowerCase()}, ${way.minutes} min, ${Math.round(way.risk * 100)} % risk`,
                    )
                    .join(' or ')}
                  ; planning estimates
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
      {sources.length > 0 && (
        <section>
          <h2>What was said of its dates</h2>
          <ul>
            {sources.map((source) => (
              <li key={source.id} className="border-t border-hairline py-1">
                {source.statement}{' '}
                {source.fromYear &&
                  `(${source.fromYear}${source.toYear && source.toYear !== source.fromYear ? ` to ${source.toYear}` : ''})`}
                : {source.origin} <span className="text-soft-ink">({source.certainty})</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </div>
  );
}

/** The timeline's twin: every variant with what it is known by. */
function VariantTable({ view }: { readonly view: CastingView }) {
  const { variants, features, states, variantStates } = view;
  const known = features.filter((feature) => variantStates.some((one) => one.featureId === feature.id));
  const labelOf = new Map(states.map((state) => [state.id, state]));
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Issues and what they are known by">
      <table className="w-full border-collapse text-note">
        <thead>
          <tr>
            <th className="border-b border-strong-line p-1.5 text-left">Issue</th>
            <th className="border-b border-strong-line p-1.5 text-left">Years</th>
            {known.map((feature) => (
              <th key={feature.id} className="border-b border-strong-line p-1.5 text-left">
                {feature.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {variants.map((variant) => (
            <tr key={variant.id}>
              <th scope="row" className="border-b border-hairline p-1.5 text-left font-semibold">
                {variant.name}
              </th>
              <td className="border-b border-hairline p-1.5 whitespace-nowrap">
                {Math.floor(variant.startEarliest)} to {Math.floor(variant.endLatest)}
              </td>
              {known.map((feature) => {
                const own = variantStates.filter((one) => one.variantId === variant.id && one.featureId === feature.id);
                return (
                  <td key={feature.id} className="border-b border-hairline p-1.5">
                    {own.length ? (
                      own.map((one) => labelOf.get(one.stateId)?.label).join(' or ')
                    ) : (
                      <span className="text-soft-ink">not recorded</span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
