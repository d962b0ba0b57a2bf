import type { DecalsView } from '@sardonyx/contract';
import {
  boundSheets,
  cutFor,
  drawSheet,
  FILMS,
  findRoom,
  listGone,
  listPieces,
  PAPERS,
  type Film,
  type Nest,
  type NestQuestion,
  type Paper,
  type WantedPiece,
} from '@sardonyx/core';
import { useState } from 'react';
import { usePrintSheetMutation } from '../../shared/api/decalApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { sayFilm } from './sayFilms.ts';
import { SheetPicture } from './SheetPicture.tsx';
import { useNest } from './worker/useNest.ts';

const PAPER_NAMES = Object.keys(PAPERS) as Paper[];
const [LEAST_SPACING, MOST_SPACING] = [0.5, 20];

/** The next sheet: which film, which paper, how the pieces lie, and printing it. */
export function NextSheet({ view }: { readonly view: DecalsView }) {
  const [film, setFilm] = useState<Film>(() => findBusiestFilm(view));
  const [paper, setPaper] = useState<Paper>('A6');
  const [wantedId, setWantedId] = useState<string | null>(null);
  const [spacing, setSpacing] = useState('2');
  const [who] = useWho();
  const [print, { error, isLoading }] = usePrintSheetMutation();
  const { pieces, notOnFilm } = listPieces(view.decals, view.artworks, film);
  const spacingMm = readNumber(spacing);
  const isSpaced = spacingMm !== null && spacingMm >= LEAST_SPACING && spacingMm <= MOST_SPACING;
  // What another print went on with, or is of another film, is no sheet that was begun.
  const mayContinue = view.sheets.filter(
    (one) => one.film === film && one.paper === paper && !view.sheets.some(({ continuesId }) => continuesId === one.id),
  );
  const begunId = mayContinue.some(({ id }) => id === wantedId) ? wantedId : null;
  const room = findRoom(paper);
  const question: NestQuestion = {
    ...{ pieces, sheet: room, spacingMm: isSpaced ? spacingMm : 2 },
    begun: begunId === null ? [] : [listGone(view.sheets, begunId, view.printer)],
  };
  const asked = JSON.stringify([film, paper, spacing, begunId, pieces.map(({ id, artworkId }) => [id, artworkId])]);
  const nesting = useNest();
  const [laidFor, setLaidFor] = useState<string | null>(null);
  // What was laid for other decals, or another sheet, is not shown for these.
  const nest = laidFor === asked ? nesting.nest : null;
  const sheetCount = nest ? groupSheets(nest, pieces).filter((own) => own.length > 0).length : 0;
  const lay = () => {
    setLaidFor(asked);
    nesting.start(question);
  };
  /** One after the other: what was refused ends it, what went before stands. */
  const printAll = async (done: Nest) => {
    for (const [i, sheetPieces] of groupSheets(done, pieces).entries()) {
      const continuesId = i === 0 ? begunId : null;
      if (sheetPieces.length === 0) continue;
      const { data } = await print({ paper, film, continuesId, who: who.trim(), pieces: sheetPieces });
      if (!data) return;
    }
    setWantedId(null);
    setLaidFor(null);
  };
  return (
    <section aria-label="The next sheet" className="space-y-3">
      <h2>The next sheet</h2>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="Film" width="26rem">
          <Select value={film} options={FILMS.map((one) => ({ value: one, label: sayFilm(one) }))} onChange={setFilm} />
        </Field>
        <Field label="Paper" width="6rem">
          <Select value={paper} options={PAPER_NAMES} onChange={setPaper} />
        </Field>
        <Field
          label="Between pieces, mm"
          width="10rem"
          error={isSpaced ? undefined : `${LEAST_SPACING} to ${MOST_SPACING} mm`}
        >
          <input inputMode="decimal" value={spacing} onChange={(event) => setSpacing(event.target.value)} />
        </Field>
        {mayContinue.length > 0 && (
          <Field label="On which sheet" width="16rem">
            <Select
              value={begunId}
              options={[
                { value: null, label: 'a new one' },
                ...mayContinue.map(({ id, at }) => ({ value: id, label: `the one of ${formatDay(at)}, begun` })),
              ]}
              onChange={setWantedId}
            />
          </Field>
        )}
        <button
          type="button"
          className="main-button"
          disabled={pieces.length === 0 || !isSpaced || nesting.isRunning}
          onClick={lay}
        >
          {pieces.length > 1 ? `Lay ${pieces.length} pieces` : 'Lay the piece'}
        </button>
      </div>
      <p>{sayPieces(view, pieces, notOnFilm)}</p>
      {laidFor === asked && nesting.isRunning && (
        <Progress what="Laying the pieces closer" share={nesting.share} onEnd={nesting.end} />
      )}
      {nesting.problem && <p role="alert">{nesting.problem}</p>}
      {nest && (
        <>
          <p role="status">{sayNest(nest, question)}</p>
          <div className="grid gap-4 min-[900px]:grid-cols-2">
            {groupSheets(nest, pieces).map((own, i) => (
              <SheetPicture
                key={i}
                gone={(question.begun[i] ?? []).map((outline) =>
                  outline.map(({ x, y }) => ({ x: x + room.x, y: y + room.y })),
                )}
                label={`Sheet ${i + 1}: ${own.length} ${own.length === 1 ? 'piece' : 'pieces'}`}
                drawing={drawSheet(
                  paper,
                  own.map((piece) => {
                    const artwork = view.artworks.find(({ id }) => id === piece.artworkId)!;
                    return { ...piece, artwork: { ...artwork, cutLine: cutFor(film, artwork) } };
                  }),
                )}
              />
            ))}
          </div>
          {nest.placements.length > 0 && (
            <button
              type="button"
              className="main-button"
              disabled={nesting.isRunning || isLoading || who.trim() === ''}
              onClick={() => void printAll(nest)}
            >
              {sheetCount === 1 ? 'Take this sheet' : `Take these ${sheetCount} sheets`} to the printer
            </button>
          )}
          {who.trim() === '' && <p className="text-note">Say at the top who stands at the bench.</p>}
        </>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}

/** The film that does most of what is to be printed; clear first. */
function findBusiestFilm({ decals, artworks }: DecalsView): Film {
  const counts = FILMS.slice(0, 2).map((film) => listPieces(decals, artworks, film).pieces.length);
  return counts[1]! > counts[0]! ? FILMS[1] : FILMS[0];
}

const groupSheets = ({ placements }: Nest, pieces: readonly WantedPiece[]) =>
  Array.from({ length: 1 + Math.max(-1, ...placements.map(({ sheet }) => sheet)) }, (_, sheet) =>
    placements
      .filter((one) => one.sheet === sheet)
      .map(({ id, x, y, turn }) => {
        const { layerId, artworkId } = pieces.find((piece) => piece.id === id)!;
        return { layerId, artworkId, x, y, turn };
      }),
  );

function sayPieces(view: DecalsView, pieces: readonly WantedPiece[], notOnFilm: readonly string[]): string {
  const jobs = new Set(pieces.map(({ layerId }) => view.decals.find((one) => one.layerId === layerId)!.jobNumber));
  const wanted =
    pieces.length === 0
      ? 'Nothing is to be printed on this film.'
      : `${pieces.length} ${pieces.length === 1 ? 'piece' : 'pieces'} for ${[...jobs].join(', ')}.`;
  const names = notOnFilm.map((layerId) => {
    const decal = view.decals.find((one) => one.layerId === layerId)!;
    return `${decal.jobNumber} ${decal.name}`;
  });
  return names.length === 0 ? wanted : `${wanted} Not on this film: ${names.join(', ')}.`;
}

function sayNest(nest: Nest, question: NestQuestion): string {
  const bound = boundSheets(question);
  if (question.begun.length > 0 && nest.newSheets === 0 && nest.placements.length > 0)
    return `What is left of the sheet is enough; ${nest.lengthMm.toFixed(0)} mm of ${question.sheet.lengthMm} mm of it is used then.`;
  const sheets = `${nest.newSheets} new ${nest.newSheets === 1 ? 'sheet' : 'sheets'}`;
  const least =
    nest.newSheets === bound.newSheets ? 'fewer are not possible' : `${bound.newSheets} would be the least by area`;
  const tooLarge = nest.tooLarge.length > 0 ? ` ${nest.tooLarge.length} larger than the sheet, left out.` : '';
  return `${sheets}, ${least}; ${nest.lengthMm.toFixed(0)} mm of ${question.sheet.lengthMm} mm of the last is used.${tooLarge}`;
}
