import type { DecalsView, PlannedDecalView } from '@sardonyx/contract';
import type { DecalArtwork } from '@sardonyx/core';
import { Link } from 'react-router';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Dab } from '../../shared/ui/Dab.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { PlacingCard } from '../../shared/decal/PlacingCard.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { PanelFitting } from './PanelFitting.tsx';
import { sayWhite } from './sayFilms.ts';

interface DecalListProps {
  readonly view: DecalsView;
  readonly onOpen: (artworkId: string) => void;
}

/** Every decal that an open job plans: which artwork it is, and what that needs. */
export function DecalList({ view, onOpen }: DecalListProps) {
  return (
    <section aria-label="Planned decals" className="space-y-2">
      <h2>Planned on open jobs</h2>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {view.decals.map((decal) => (
          <Planned key={decal.layerId} decal={decal} artworks={view.artworks} onOpen={onOpen} />
        ))}
      </ul>
    </section>
  );
}

const COPIES = Array.from({ length: 8 }, (_, i) => i + 1);

function Planned({
  decal,
  artworks,
  onOpen,
}: {
  readonly decal: PlannedDecalView;
  readonly artworks: readonly DecalArtwork[];
  readonly onOpen: (artworkId: string) => void;
}) {
  const dispatch = useAppDispatch();
  const { layerId, plan, name, jobNumber, body, sizeMm } = decal;
  const save = (changes: { readonly artworkId?: string | null; readonly copies?: number }) => {
    const label = `${jobNumber}: ${name}`;
    if (plan) void dispatch(changeRow({ kind: 'decal-plans', row: plan, changes, label }));
    else
      void dispatch(
        createRow({
          ...{ kind: 'decal-plans', label },
          body: { layerId, artworkId: null, copies: 1, panel: null, ...changes },
        }),
      );
  };
  const artwork = artworks.find(({ id }) => id === plan?.artworkId);
  return (
    <li aria-label={`${jobNumber} ${name}`} className="grid gap-x-4 gap-y-1 py-3 sm:grid-cols-[1fr_15rem_5rem]">
      <div>
        <p>
          <Link className="underline" to={`/jobs/${decal.jobId}/close`}>
            {jobNumber}
          </Link>{' '}
          <strong>{name}</strong>
        </p>
        <p className="text-note text-soft-ink">
          {decal.part}, {decal.area}
          {sizeMm && `, ${sizeMm.widthMm} × ${sizeMm.heightMm} mm as measured`}
          {body && (
            <span className="inline-flex items-center gap-1.5 pl-2">
              on <Dab colour={body.hex} size="size-4" /> {body.name}
            </span>
          )}
        </p>
        <p>{sayState(decal, artwork)}</p>
        {decal.crossesSeam && !decal.isPlaced && (
          <p className="text-note">
            <Sign of="stop" /> It crosses a joint: not before that is closed for good.
          </p>
        )}
      </div>
      <Field label="Artwork">
        <Select
          value={plan?.artworkId ?? null}
          options={[
            { value: null, label: 'none yet' },
            ...artworks.map(({ id, name: one }) => ({ value: id, label: one })),
          ]}
          onChange={(artworkId) => save({ artworkId })}
        />
      </Field>
      <Field label="In a set">
        <Select value={plan?.copies ?? 1} options={COPIES} onChange={(copies) => save({ copies })} />
      </Field>
      {artwork && !decal.isPlaced && <PanelFitting decal={decal} artwork={artwork} />}
      {decal.placing && !decal.isPlaced && (
        <Fold title="Place it" className="sm:col-span-3">
          <PlacingCard decal={decal} />
        </Fold>
      )}
      {artwork && (
        <p className="sm:col-span-3">
          <button type="button" className="quiet-button" onClick={() => onOpen(artwork.id)}>
            See it on its colour<span className="sr-only">, {name}</span>
          </button>
        </p>
      )}
    </li>
  );
}

function sayState(decal: PlannedDecalView, artwork: DecalArtwork | undefined) {
  if (decal.isPlaced) return <Marked of="done">It lies.</Marked>;
  if (!artwork) return <Marked of="warning">No artwork: choose one, or bring it in below.</Marked>;
  const toPrint =
    decal.toPrint === 0
      ? 'printed'
      : `${decal.toPrint} to print${decal.sets === 2 ? ', the spare set included' : ', no spare set'}`;
  const white = decal.judged ? `; ${sayWhite(decal.judged)}` : '; no colour is planned under it yet';
  return `${toPrint}${white}.`;
}

function Marked({ of, children }: { readonly of: 'done' | 'warning'; readonly children: string }) {
  return (
    <>
      <Sign of={of} /> {children}
    </>
  );
}
