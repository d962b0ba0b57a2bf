import type { CastingView } from '@sardonyx/contract';
import { CONSTRUCTIONS, PART_SIZES } from '@sardonyx/core';
import { SIZE_WORDS } from './build/buildWords.ts';

/** What a casting is made of and how it holds together, to read. */
export function PartsAndJoints({ view: { casting, parts, joints } }: { readonly view: CastingView }) {
  const construction = CONSTRUCTIONS.find(({ key }) => key === casting.builtAs);
  return (
    <div className="grid gap-6 md:grid-cols-2">
      <section aria-label="Parts">
        <h2>Parts</h2>
        <ul>
          {parts.map((part) => (
            <li key={part.id} className="border-t border-hairline py-1">
              {part.count > 1 && `${part.count} × `}
              {part.name}{' '}
              <span className="text-soft-ink">
                (
                {[
                  part.material,
                  ...PART_SIZES.flatMap((size) =>
                    part.sizes[size] === undefined ? [] : [`${SIZE_WORDS[size].toLowerCase()} ${part.sizes[size]} mm`],
                  ),
                  ...(part.dependentBits ? [`needs ${part.dependentBits}`] : []),
                ].join('; ')}
                )
              </span>
            </li>
          ))}
        </ul>
        {construction && (
          <p className="pt-2 text-note text-soft-ink">
            Where its number may be: {construction.numbers.join('; ')}. Where fastenings hide:{' '}
            {construction.fastenings.join('; ')}.
          </p>
        )}
      </section>
      <section aria-label="Joints">
        <h2>Joints</h2>
        <ul>
          {joints.map((joint) => (
            <li key={joint.id} className="border-t border-hairline py-1">
              {joint.label}{' '}
              <span className="text-soft-ink">
                ({joint.kind}):{' '}
                {joint.ways
                  .map((way) => `${way.label.toLowerCase()}, ${way.minutes} min, ${Math.round(way.risk * 100)} % risk`)
                  .join(' or ')}
                ; planning estimates
              </span>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
