import type { JobView } from '@sardonyx/contract';
import { convertLabToHex, type DecalArtwork, type DrawnElement, type Point } from '@sardonyx/core';
import { useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { useTraceArtworkMutation } from '../../../shared/api/decalApi.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { useStraightened } from '../../photos/index.ts';
import { DecalCanvas } from './DecalCanvas.tsx';
import { NumberField } from './NumberField.tsx';
import { ElementInHand, type CapturedInk } from './ElementInHand.tsx';
import { useDecalDraft } from './useDecalDraft.ts';

interface DecalBenchProps {
  readonly artwork: DecalArtwork | null;
  /** Whose photographs and colours lie at hand. */
  readonly job: JobView | null;
  readonly children: ReactNode;
}

const INK = '#101010';
const NEW: Readonly<Record<DrawnElement['kind'], DrawnElement>> = {
  area: { kind: 'area', points: [], ink: '#e8dfc4', strokeMm: 0 },
  line: { kind: 'line', points: [], ink: INK, strokeMm: 0.4 },
  text: { kind: 'text', text: 'TEXT', x: 5, y: 8, heightMm: 3, widthMm: null, isBold: false, ink: INK },
};

/** The old decal under the hand, what is traced of it, and the element in hand. */
export function DecalBench({ artwork, job, children }: DecalBenchProps) {
  const { draft, isChanged, change, changeElements, settle } = useDecalDraft(artwork);
  const { elements } = draft.drawn;
  const [inHand, setInHand] = useState<number | null>(null);
  const [isBend, setBend] = useState(false);
  const [isSeenThrough, setSeenThrough] = useState(true);
  const [photoId, setPhotoId] = useState<string | null>(null);
  const photos = (job?.photos ?? []).filter(({ control }) => control !== null);
  const photo = photos.find(({ id }) => id === photoId) ?? null;
  const under = useStraightened(photo);
  const navigate = useNavigate();
  const [trace, { error, isLoading }] = useTraceArtworkMutation();
  const known = error === undefined ? null : readAppError(error);
  const held = inHand === null ? undefined : elements[inHand];

  const replace = (index: number, element: DrawnElement) =>
    changeElements(elements.map((one, i) => (i === index ? element : one)));
  const add = (kind: DrawnElement['kind']) => {
    const at = under.flat?.region;
    const fresh = NEW[kind];
    // In the middle of what is seen.
    const placed =
      fresh.kind === 'text' && at ? { ...fresh, x: at.left + at.widthMm / 3, y: at.top + at.heightMm / 2 } : fresh;
    changeElements([...elements, placed]);
    setInHand(elements.length);
    setBend(false);
  };
  const press = ({ x, y }: Point) => {
    const at = { x: round(x), y: round(y) };
    if (held?.kind === 'text') return replace(inHand!, { ...held, ...at });
    if (held) replace(inHand!, { ...held, points: [...held.points, { ...at, isBend }] });
  };
  const move = (index: number, { x, y }: Point) => {
    const at = { x: round(x), y: round(y) };
    if (held?.kind === 'text') replace(inHand!, { ...held, ...at });
    else if (held)
      replace(inHand!, { ...held, points: held.points.map((one, i) => (i === index ? { ...one, ...at } : one)) });
  };
  const save = async () => {
    const of = artwork && draft.version !== null ? { id: artwork.id, version: draft.version } : null;
    const { data } = await trace({ name: draft.name, drawn: draft.drawn as never, of });
    if (!data) return;
    settle();
    void navigate(`/decals?artwork=${encodeURIComponent(data.id)}`);
  };
  return (
    <div className="grid items-start gap-4 min-[1000px]:grid-cols-[1fr_24rem]">
      <div className="space-y-3">
        <div className="flex flex-wrap items-end gap-3">
          {children}
          {photos.length > 0 && (
            <Field label="Photograph" width="14rem">
              <Select
                value={photoId}
                options={[
                  { value: null, label: 'none' },
                  ...photos.map(({ id, side, caption }) => ({ value: id, label: caption || side })),
                ]}
                onChange={setPhotoId}
              />
            </Field>
          )}
          {under.flat ? (
            <Checkbox checked={isSeenThrough} onChange={setSeenThrough}>
              see the old one through it
            </Checkbox>
          ) : (
            <>
              {(
                [
                  ['Ground wide, mm', 'widthMm'],
                  ['high, mm', 'heightMm'],
                ] as const
              ).map(([label, key]) => (
                <NumberField
                  key={key}
                  label={label}
                  value={draft.drawn[key]}
                  onChange={(mm) => change({ drawn: { ...draft.drawn, [key]: mm } })}
                />
              ))}
            </>
          )}
        </div>
        {job !== null && photos.length === 0 && (
          <p className="text-note text-soft-ink">
            None of its photographs is straightened by a card: draw the decal to its measures, or straighten one first.
          </p>
        )}
        {under.isWaiting && <Progress what="Straightening the picture" share={under.share} onEnd={under.cancel} />}
        {under.problem && <p role="alert">{under.problem}</p>}
        {under.flat && (
          <p className="text-note text-soft-ink">
            What lies nearer to the lens than the card comes out too large: measure the old decal once, and type its
            width afterwards.
          </p>
        )}
        <DecalCanvas
          elements={elements}
          inHand={inHand}
          sizeMm={{ width: draft.drawn.widthMm, height: draft.drawn.heightMm }}
          under={under.flat}
          isSeenThrough={isSeenThrough && under.flat !== null}
          onAdd={held ? press : null}
          onMove={move}
        />
      </div>
      <div className="space-y-3">
        {/* Above what grows: it is never pushed off the screen. */}
        <div className="flex items-start gap-3">
          <div className="min-w-0 grow">
            <Field label="Name" error={known?.fields?.name}>
              <input value={draft.name} maxLength={120} onChange={(event) => change({ name: event.target.value })} />
            </Field>
          </div>
          <button type="button" className="main-button mt-7 shrink-0" disabled={isLoading} onClick={() => void save()}>
            {artwork ? 'Save it' : 'Make it an artwork'}
          </button>
        </div>
        {known && !known.fields?.name && <ErrorNote error={known} />}
        <div className="flex flex-wrap gap-3">
          {(['area', 'line', 'text'] as const).map((kind) => (
            <button key={kind} type="button" className="plain-button" onClick={() => add(kind)}>
              New {kind}
            </button>
          ))}
        </div>
        <ol aria-label="What is traced, the lowest first" className="divide-y divide-hairline border-y border-hairline">
          {elements.map((element, i) => (
            <li key={i}>
              <button
                type="button"
                aria-pressed={i === inHand}
                className={`min-h-11 w-full text-left ${i === inHand ? 'font-semibold underline underline-offset-4' : ''}`}
                onClick={() => setInHand(i === inHand ? null : i)}
              >
                {i + 1}. {sayElement(element)}
              </button>
            </li>
          ))}
        </ol>
        {held && (
          <ElementInHand
            key={inHand}
            element={held}
            captured={listCaptured(job)}
            isBend={isBend}
            onBend={setBend}
            onChange={(element) => replace(inHand!, element)}
            onRemove={() => {
              changeElements(elements.filter((_, i) => i !== inHand));
              setInHand(null);
            }}
          />
        )}
        {isChanged && (
          <button
            type="button"
            className="quiet-button"
            onClick={() => {
              settle();
              setInHand(null);
            }}
          >
            {artwork ? 'As it was saved' : 'Begin anew'}
          </button>
        )}
      </div>
    </div>
  );
}

const round = (mm: number) => +mm.toFixed(3);

function sayElement(element: DrawnElement): string {
  if (element.kind === 'text') return `Text “${element.text}”`;
  const points = `${element.points.length} ${element.points.length === 1 ? 'point' : 'points'}`;
  return `${element.kind === 'area' ? 'Area' : 'Line'}, ${points}`;
}

/** Colours captured on the model, by their place. */
function listCaptured(job: JobView | null): CapturedInk[] {
  return (job?.specimens ?? []).flatMap(({ captures, parts }) =>
    captures.map(({ id, lab, note, specimenPartId }) => {
      const part = parts.find((one) => one.id === specimenPartId)?.name ?? '';
      return { id, name: note ? `${part}, ${note}` : part, hex: convertLabToHex(lab) };
    }),
  );
}
