import { lazy, Suspense, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetCastingQuery, useGetSpecimenQuery } from '../../shared/api/api.ts';
import { deleteRow } from '../../shared/edits/editRow.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { ModelDrawing } from '../../shared/drawing/ModelDrawing.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { AlertDialog } from '../../shared/ui/AlertDialog.tsx';
import { EmptyNote, LoadingNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { CastingSources } from './CastingSources.tsx';
import { ChangeCastingBuild } from './ChangeCastingBuild.tsx';
import { EditFeatures } from './EditFeatures.tsx';
import { HowComplete } from './HowComplete.tsx';
import { PartsAndJoints } from './PartsAndJoints.tsx';
import { IssueSheetEditor } from './sheet/IssueSheetEditor.tsx';
import { ToolOrder } from './ToolOrder.tsx';
import { VariantTable } from './VariantTable.tsx';

const VariantTimeline = lazy(() =>
  import('./VariantTimeline.tsx').then((module) => ({ default: module.VariantTimeline })),
);

/** One casting: its issues along the years, its parts and how it holds together. Everything known of it can be edited. */
export function CastingPage() {
  const { castingId = '' } = useParams();
  const [params, setParams] = useSearchParams();
  const { data, error } = useGetCastingQuery(castingId);
  const shownId = params.get('model') ?? data?.specimens[0]?.id ?? '';
  const { data: model } = useGetSpecimenQuery(shownId, { skip: !shownId });
  const [isEditing, setEditing] = useState(false);
  const [isBuilding, setBuilding] = useState(false);
  const [news, setNews] = useState('');
  if (!data) return <Pending what="the casting" error={error} />;
  const { casting, maker, range, variants, parts, specimens } = data;
  const rarest = [...variants].sort((a, b) => b.rarity - a.rarity)[0];
  return (
    <div className="mx-auto max-w-[84rem] space-y-6 p-4">
      <div className="flex flex-wrap items-start justify-between gap-4">
        <div className="min-w-0">
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
          <p className="max-w-4xl text-soft-ink">
            {casting.lengthMm} mm long, wheelbase {casting.wheelbaseMm} mm. {casting.construction}
            {rarest &&
              rarest.rarity >= 4 &&
              ` Rarest: ${rarest.name} (${rarest.rarity} of 10). ${rarest.rarityEvidence}`}
          </p>
        </div>
        <button type="button" aria-pressed={isEditing} className="plain-button" onClick={() => setEditing(!isEditing)}>
          {isEditing ? 'Done editing' : 'Edit what is known'}
        </button>
      </div>
      <div className="grid gap-4 md:grid-cols-[2fr_2fr_1fr]">
        {casting.drawing.views.map((view) => (
          <figure key={view.view}>
            <ModelDrawing
              view={view}
              paint={{}}
              parts={parts.map((part) => ({ key: part.key, material: part.material, state: 'sound' }))}
              label={`${casting.name}, ${view.view}`}
              className="h-36 w-full border border-hairline bg-paper"
            />
            <figcaption>
              <Link
                className="quiet-button inline-flex items-center"
                to={`/catalogue/${encodeURIComponent(casting.id)}/trace/${view.view}`}
              >
                {casting.traces[view.view] ? 'Traced: change it' : 'Trace it over a photograph'}
              </Link>
            </figcaption>
          </figure>
        ))}
      </div>
      {variants.length > 0 ? (
        <>
          {specimens.length > 0 && (
            <label className="flex flex-wrap items-center gap-3">
              <span>Evidence of a model on the shelf, notched on the features:</span>
              <Select
                value={shownId}
                options={specimens.map((specimen) => ({ value: specimen.id, label: specimen.name }))}
                onChange={(value) => setParams({ model: value }, { replace: true })}
                style={{ width: 'auto' }}
              />
              {model?.specimen.jobId && (
                <Link
                  className="underline underline-offset-4"
                  to={`/jobs/${model.specimen.jobId}/identify?specimen=${encodeURIComponent(model.specimen.id)}`}
                >
                  Identify it
                </Link>
              )}
            </label>
          )}
          <Suspense fallback={<LoadingNote what="the timeline" />}>
            <VariantTimeline view={data} observations={model?.observations ?? []} />
          </Suspense>
          {!isEditing && <VariantTable view={data} />}
          <HowComplete view={data} />
        </>
      ) : (
        !isEditing && (
          <EmptyNote title="No issue of it is known here.">
            It can be restored all the same; Identify will say that it cannot tell them apart. Type what you know, or
            paste a list, under “Edit what is known”.
          </EmptyNote>
        )
      )}
      {isEditing && (
        <>
          <IssueSheetEditor view={data} />
          <EditFeatures view={data} />
        </>
      )}
      {isEditing ? (
        <section aria-label="Edit the casting" className="grid gap-3 sm:grid-cols-2">
          <Autosaved kind="castings" row={casting} field="name" label="Name" />
          <Autosaved kind="castings" row={casting} field="construction" label="How it is put together" />
          <Autosaved kind="castings" row={casting} field="lengthMm" label="Length, mm" type="number" />
          <Autosaved kind="castings" row={casting} field="wheelbaseMm" label="Wheelbase, mm" type="number" />
          <div className="sm:col-span-2">
            <Autosaved
              kind="castings"
              row={casting}
              field="history"
              label="History of the toy and of the vehicle it shows"
            />
          </div>
        </section>
      ) : (
        casting.history && (
          <section>
            <h2>The toy and the vehicle it shows</h2>
            <p className="max-w-4xl">{casting.history}</p>
          </section>
        )
      )}
      <CastingSources view={data} isEditing={isEditing} />
      <ToolOrder view={data} />
      {isBuilding ? (
        <ChangeCastingBuild
          view={data}
          onDone={(said) => {
            setBuilding(false);
            setNews(said);
          }}
        />
      ) : (
        <PartsAndJoints view={data} />
      )}
      {!isBuilding && (
        <div className="flex flex-wrap items-center gap-4">
          <button type="button" className="plain-button" onClick={() => setBuilding(true)}>
            Change parts and joints
          </button>
          {news && <span role="status">{news}</span>}
        </div>
      )}
      {isEditing && <RemoveCasting casting={casting} onShelf={specimens.length} />}
    </div>
  );
}

interface RemoveCastingProps {
  readonly casting: { readonly id: string; readonly version: number; readonly number: string; readonly name: string };
  readonly onShelf: number;
}

/** Takes the casting with all its issues out of the catalogue; asks twice. */
function RemoveCasting({ casting, onShelf }: RemoveCastingProps) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  if (onShelf > 0)
    return <p className="text-soft-ink">It cannot be removed: {onShelf} of your models are of this casting.</p>;
  const remove = async () => {
    const label = `${casting.number} ${casting.name} removed`;
    const problem = await dispatch(deleteRow({ kind: 'castings', row: casting, label })).unwrap();
    if (!problem) await navigate('/catalogue');
  };
  return (
    <AlertDialog
      offer="Remove this casting from the catalogue"
      warning="Its issues, parts and joints go with it, and this cannot be undone. Save the catalogue as JSON first."
      act={`Remove ${casting.number} ${casting.name}`}
      onAct={() => void remove()}
    />
  );
}
