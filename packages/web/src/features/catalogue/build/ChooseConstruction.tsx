import { CONSTRUCTIONS, drawCasting, type Construction } from '@sardonyx/core';
import { useMemo } from 'react';
import { ModelDrawing } from '../../../shared/drawing/ModelDrawing.tsx';

const SIZE = { lengthMm: 70, wheelbaseMm: 40 };

/** The common ways in which such toys are put together, as pictures: one press begins with its parts and joints. */
export function ChooseConstruction({ onChoose }: { readonly onChoose: (construction: Construction) => void }) {
  return (
    <section aria-label="How is it put together?" className="space-y-3">
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {CONSTRUCTIONS.map((construction) => (
          <li key={construction.key}>
            <button
              type="button"
              className="flex size-full flex-col border border-strong-line bg-sheet p-3 text-left hover:bg-sunk"
              onClick={() => onChoose(construction)}
            >
              <Picture construction={construction} />
              <span className="mt-2 block text-lead font-semibold">{construction.name}</span>
              <span className="block text-soft-ink">{construction.about}</span>
              <span className="mt-auto block pt-2 text-note text-soft-ink">
                {construction.parts.map(({ name }) => name.toLowerCase()).join(', ')}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Picture({ construction: { bodyType, parts, name } }: { readonly construction: Construction }) {
  const view = useMemo(() => drawCasting({ bodyType, ...SIZE }, parts).views[0]!, [bodyType, parts]);
  return (
    <ModelDrawing
      view={view}
      paint={{}}
      parts={parts.map(({ key, material }) => ({ key, material, state: 'sound' }))}
      label={name}
      className="h-28 w-full bg-paper"
    />
  );
}
