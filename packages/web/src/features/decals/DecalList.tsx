import type { DecalsView, PlannedDecalView } from '@sardonyx/contract';
import { judgeIssue, type DecalArtwork, type IssueAnswer, type LeftFeature } from '@sardonyx/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Dab } from '../../shared/ui/Dab.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { PlacingCard } from '../../shared/decal/PlacingCard.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { OnPhotograph } from './OnPhotograph.tsx';
import { PanelFitting } from './PanelFitting.tsx';
import { SendFor } from './SendFor.tsx';
import { TrialPlacing } from './TrialPlacing.tsx';
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
          <Planned key={decal.layerId} decal={decal} view={view} onOpen={onOpen} />
        ))}
      </ul>
    </section>
  );
}

const COPIES = Array.from({ length: 8 }, (_, i) => i + 1);

function Planned({
  decal,
  view: { artworks, states, orders },
  onOpen,
}: {
  readonly decal: PlannedDecalView;
  readonly view: DecalsView;
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
  const judge = (one: DecalArtwork) =>
    judgeIssue(one.featureStateId, decal.left, (id) => states.find((state) => state.id === id)?.featureId ?? null);
  const issue = artwork ? judge(artwork) : null;
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
        {issue && !decal.isPlaced && <p>{sayIssue(issue)}</p>}
        {!artwork && decal.left.map((feature) => <p key={feature.featureId}>{sayLeft(feature)}</p>)}
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
            ...artworks.map((one) => ({
              ...{ value: one.id, label: one.name },
              ...(judge(one)?.answer === 'as it left' ? { note: 'as this issue left the works' } : {}),
            })),
          ]}
          onChange={(artworkId) => save({ artworkId })}
        />
      </Field>
      <Field label="In a set">
        <Select value={plan?.copies ?? 1} options={COPIES} onChange={(copies) => save({ copies })} />
      </Field>
      {artwork && !decal.isPlaced && <PanelFitting decal={decal} artwork={artwork} />}
      {artwork && !decal.isPlaced && <SendFor decal={decal} orders={orders} />}
      {decal.placing && !decal.isPlaced && (
        <Fold title="Place it" className="sm:col-span-3">
          <PlacingCard decal={decal} />
        </Fold>
      )}
      {artwork && (
        <p className="flex flex-wrap gap-x-5 sm:col-span-3">
          <button type="button" className="quiet-button" onClick={() => onOpen(artwork.id)}>
            See it on its colour<span className="sr-only">, {name}</span>
          </button>
          {!decal.isPlaced && <TrialPlacing decal={decal} artwork={artwork} />}
          {!decal.isPlaced && <OnPhotograph decal={decal} artwork={artwork} />}
        </p>
      )}
    </li>
  );
}

function sayIssue({ answer, label, chance }: IssueAnswer) {
  const left = `${label} (${Math.round(100 * chance)}\u00a0%)`;
  if (answer === 'as it left') return <Marked of="done">As this issue left the works: {left}.</Marked>;
  if (answer === 'not sure') return <>It is not sure which decal this issue left with; most probably {left}.</>;
  return <Marked of="warning">Another issue’s: this one left the works with {left}.</Marked>;
}

const sayLeft = ({ label, states }: LeftFeature) =>
  `${label}, as this issue left the works: ${states.map((state) => `${state.label} (${Math.round(100 * state.chance)}\u00a0%)`).join(', ')}.`;

function sayState(decal: PlannedDecalView, artwork: DecalArtwork | undefined) {
  if (decal.isPlaced) return <Marked of="done">It lies.</Marked>;
  if (!artwork) return <Marked of="warning">No artwork: choose one, or bring it in below.</Marked>;
  const toPrint = sayToPrint(decal);
  const white = decal.judged ? `; ${sayWhite(decal.judged)}` : '; no colour is planned under it yet';
  return `${toPrint}${white}.`;
}

function sayToPrint({ toPrint, inHand, coming, sets }: PlannedDecalView): string {
  const there = [
    ...(inHand > 0 ? [`${inHand} in hand`] : []),
    ...(coming > 0 ? [`${coming} wanted of a supplier`] : []),
    ...(toPrint > 0 ? [`${toPrint} to print${sets === 2 ? ', the spare set included' : ', no spare set'}`] : []),
  ];
  return there.join(', ');
}

function Marked({ of, children }: { readonly of: 'done' | 'warning'; readonly children: ReactNode }) {
  return (
    <>
      <Sign of={of} /> {children}
    </>
  );
}
