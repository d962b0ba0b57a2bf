import type { DecalsView } from '@sardonyx/contract';
import { convertLabToHex, type DecalArtwork, type JudgedArtwork } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSizeArtworkMutation } from '../../shared/api/decalApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { TakeOffList } from '../../shared/edits/TakeOffList.tsx';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { readNumber } from '../../shared/form/readNumber.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Dab } from '../../shared/ui/Dab.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Toggles } from '../../shared/ui/Toggles.tsx';
import { ArtworkPicture } from './ArtworkPicture.tsx';
import { sayFilm, sayFilmAnswer } from './sayFilms.ts';

interface ArtworkDetailsProps {
  readonly artwork: DecalArtwork;
  readonly view: DecalsView;
}

const PAPER_WHITE = '#ffffff';

/** One artwork: how it looks on the paint it is for, what each film can do, its size. */
export function ArtworkDetails({ artwork, view }: ArtworkDetailsProps) {
  const users = view.decals.filter(({ plan }) => plan?.artworkId === artwork.id);
  const [layerId, setLayerId] = useState<string | null>(null);
  const shown = users.find((one) => one.layerId === layerId) ?? users[0];
  const judged = shown?.judged ?? null;
  const ground = shown?.body?.hex ?? PAPER_WHITE;
  const onClear = Object.fromEntries(judged?.inks.map(({ hex, without }) => [hex, convertLabToHex(without)]) ?? []);
  return (
    <section aria-label={artwork.name} className="space-y-4 border border-strong-line bg-sheet p-4">
      <header>
        <h2>{artwork.name}</h2>
        <p className="text-soft-ink">
          <span className="figure">
            {artwork.widthMm.toFixed(2)} × {artwork.heightMm.toFixed(2)} mm
          </span>
          , {SIZE_WORDS[artwork.sizeFrom]}
        </p>
      </header>
      {artwork.sizeFrom === 'px of the file' && (
        <p>
          <Sign of="warning" /> The file names no unit of length: its px were taken as 1/96 inch. Measure the old decal
          and type its width.
        </p>
      )}
      {users.length > 1 && (
        <Toggles
          aria-label="On which model"
          value={shown!.layerId}
          options={users.map((one) => ({ value: one.layerId, label: `${one.jobNumber} ${one.name}` }))}
          onChange={setLayerId}
        />
      )}
      <div className={artwork.widthMm > 4 * artwork.heightMm ? 'space-y-3' : 'grid gap-4 sm:grid-cols-2'}>
        <figure className="space-y-1">
          <ArtworkPicture artwork={artwork} ground={ground} label={`${artwork.name} as it was drawn`} />
          <figcaption className="text-note">{judged ? 'With white under the ink' : 'On white paper'}</figcaption>
        </figure>
        {judged && (
          <figure className="space-y-1">
            <ArtworkPicture
              artwork={artwork}
              ground={ground}
              shownAs={onClear}
              label={`${artwork.name} on clear film without white`}
            />
            <figcaption className="text-note">On clear film without white</figcaption>
          </figure>
        )}
      </div>
      {judged ? (
        <>
          <ul className="divide-y divide-hairline border-y border-hairline">
            {judged.films.map((one) => (
              <li key={one.film} className="flex flex-wrap justify-between gap-x-4 py-2">
                <span>{sayFilm(one.film)}</span>
                <span>
                  <Sign of={one.answer === 'does' ? 'done' : one.answer === 'does not' ? 'never' : 'doubtful'} />{' '}
                  {sayFilmAnswer(one)}
                </span>
              </li>
            ))}
          </ul>
          <ul aria-label="Inks" className="space-y-1">
            {judged.inks.map(({ hex, share, de, answer, without }) => (
              <li key={hex} className="flex items-center gap-2">
                <Dab colour={hex} size="size-6" />
                <span className="whitespace-nowrap">{Math.round(100 * share)} % of the ink shows as</span>
                <Dab colour={convertLabToHex(without)} size="size-6" />
                <span>
                  ΔE <span className="figure">{de.toFixed(1)}</span>, {INK_WORDS[answer]}
                </span>
              </li>
            ))}
          </ul>
          <p className="text-note text-soft-ink">
            Worked out from the paint below and the ink’s colour on white paper (Saunderson, what passes the ink twice);
            ΔE up to 6 is let pass at arm’s length (planning estimate). An office printer prints no white.
          </p>
        </>
      ) : (
        <p>{users.length === 0 ? 'No planned decal is this artwork yet.' : 'No colour is planned under it yet.'}</p>
      )}
      <div className="grid gap-3 sm:grid-cols-2">
        <Autosaved kind="artworks" row={artwork} field="name" label="Name" />
        <BelongsTo artwork={artwork} states={view.states} />
        <WidthField artwork={artwork} />
        <Autosaved kind="artworks" row={artwork} field="note" label="Note" />
      </div>
      <p className="flex flex-wrap gap-x-5">
        <a className="quiet-button" href={`/api/artworks/${encodeURIComponent(artwork.id)}/file.svg`} download>
          As SVG, true size
        </a>
        {artwork.drawn && (
          <Link className="quiet-button" to={`/decals/trace/${encodeURIComponent(artwork.id)}`}>
            Go on tracing it
          </Link>
        )}
        {users.length === 0 && <TakeOffList kind="artworks" row={artwork} label={artwork.name} />}
      </p>
    </section>
  );
}

const INK_WORDS: Readonly<Record<JudgedArtwork['white'], string>> = {
  white: 'needs white',
  'test strip': 'near the limit',
  'no white': 'does without white',
};

const SIZE_WORDS: Readonly<Record<DecalArtwork['sizeFrom'], string>> = {
  'units of the file': 'as the file says',
  'px of the file': 'by the px of the file',
  typed: 'as it was typed',
  traced: 'as it was traced',
};

/** The state of a feature that it shows: an issue that left with it wants this one. */
function BelongsTo({ artwork, states }: { readonly artwork: DecalArtwork; readonly states: DecalsView['states'] }) {
  const dispatch = useAppDispatch();
  const save = (featureStateId: string | null) =>
    void dispatch(
      changeRow({ kind: 'artworks', row: artwork, changes: { featureStateId }, label: `issue of ${artwork.name}` }),
    );
  return (
    <Field label="Left the works on issues with">
      <Select
        value={artwork.featureStateId}
        options={[
          { value: null, label: 'none: our own' },
          ...states.map(({ id, label, feature }) => ({ value: id, label, group: feature })),
        ]}
        onChange={save}
      />
    </Field>
  );
}

/** The height follows in proportion. */
function WidthField({ artwork }: { readonly artwork: DecalArtwork }) {
  const [draft, setDraft] = useState<string | null>(null);
  const [size, { error }] = useSizeArtworkMutation();
  const save = async () => {
    const widthMm = draft === null ? null : readNumber(draft);
    if (draft === null || widthMm === artwork.widthMm) return setDraft(null);
    const { data } = await size({ artworkId: artwork.id, widthMm: widthMm! });
    if (data) setDraft(null);
  };
  const known = error === undefined || draft === null ? null : readAppError(error);
  return (
    <>
      <Field label="Width, mm" error={known?.fields?.widthMm}>
        <input
          inputMode="decimal"
          value={draft ?? String(+artwork.widthMm.toFixed(3))}
          onChange={(event) => setDraft(event.target.value)}
          onBlur={() => void save()}
          onKeyDown={(event) => {
            if (event.key === 'Enter') void save();
          }}
        />
      </Field>
      {known && !known.fields && <ErrorNote error={known} />}
    </>
  );
}
