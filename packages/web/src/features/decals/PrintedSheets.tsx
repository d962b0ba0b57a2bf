import type { DecalSheetView, DecalsView } from '@sardonyx/contract';
import { placeRules } from '@sardonyx/core';
import { useMeasureRulesMutation, useSpoilSheetMutation } from '../../shared/api/decalApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { useTextFields } from '../../shared/form/useTextFields.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { formatDay } from '../../shared/dates/sayDates.ts';
import { sayFilm } from './sayFilms.ts';

/** Sheets that were printed: their files, and their rules, by which the next one is corrected. */
export function PrintedSheets({ view: { sheets, printer } }: { readonly view: DecalsView }) {
  if (sheets.length === 0) return null;
  const isTrue = sheets.every(({ measured }) => measured === null);
  return (
    <section aria-label="Printed sheets" className="space-y-2">
      <h2>Printed</h2>
      <p>
        {isTrue
          ? 'No rule was measured yet: it is taken that the printer is true. Print at 100 %, measure both rules, type them.'
          : `The printer prints ${sayScale(printer.along)} along and ${sayScale(printer.down)} down; the next sheet is corrected by that.`}
      </p>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {sheets.map((sheet) => (
          <Printed key={sheet.id} sheet={sheet} />
        ))}
      </ul>
    </section>
  );
}

function Printed({ sheet }: { readonly sheet: DecalSheetView }) {
  const { id, at, who, paper, film, pieces, measured, isSpoiled } = sheet;
  const [spoil] = useSpoilSheetMutation();
  const path = `/api/decal-sheets/${encodeURIComponent(id)}/sheet`;
  return (
    <li
      aria-label={`Sheet of ${at.slice(0, 10)}`}
      className="flex flex-wrap items-end justify-between gap-x-6 gap-y-2 py-3"
    >
      <div>
        <p>
          <strong>{formatDay(at)}</strong>: {pieces.length} {pieces.length === 1 ? 'piece' : 'pieces'}, {paper},{' '}
          {sayFilm(film).toLowerCase()} ({who})
          {isSpoiled && '; it did not come out, its pieces are to be printed again'}
        </p>
        <p className="flex flex-wrap gap-x-5">
          <a className="quiet-button" href={`${path}.pdf`} download>
            PDF, true size
          </a>
          <a className="quiet-button" href={`${path}.png`} download>
            PNG to look at
          </a>
          <a className="quiet-button" href={`${path}.svg`} download>
            SVG
          </a>
          <a className="quiet-button" href={`${path}.svg?cuts=yes`} download>
            SVG with cut lines
          </a>
          <button
            type="button"
            className="quiet-button"
            onClick={() => void spoil({ sheetId: id, isSpoiled: !isSpoiled })}
          >
            {isSpoiled ? 'It did come out' : 'It did not come out'}
          </button>
        </p>
      </div>
      <RuleForm key={JSON.stringify(measured)} sheet={sheet} />
    </li>
  );
}

function RuleForm({ sheet: { id, paper, measured } }: { readonly sheet: DecalSheetView }) {
  const [measure, { error, isLoading }] = useMeasureRulesMutation();
  const known = error === undefined ? null : readAppError(error);
  const { along, down } = placeRules(paper);
  const { fields, field } = useTextFields(
    { alongMm: String(measured?.alongMm ?? ''), downMm: String(measured?.downMm ?? '') },
    { numbers: ['alongMm', 'downMm'], errors: known?.fields },
  );
  return (
    <form
      aria-label="Its rules"
      className="space-y-1"
      onSubmit={(event) => {
        event.preventDefault();
        void measure({ sheetId: id, alongMm: readNumber(fields.alongMm)!, downMm: readNumber(fields.downMm)! });
      }}
    >
      <div className="flex flex-wrap items-end gap-2">
        {field('alongMm', `Rule along, drawn ${along.mm} mm`, '12rem')}
        {field('downMm', `Rule down, drawn ${down.mm} mm`, '12rem')}
        <button type="submit" className="plain-button" disabled={isLoading}>
          {measured ? 'Measured again' : 'So it came out'}
        </button>
      </div>
      {known && !known.fields && <ErrorNote error={known} />}
    </form>
  );
}

const sayScale = (scale: number): string =>
  Math.abs(scale - 1) < 0.0005
    ? 'true'
    : `${(100 * Math.abs(scale - 1)).toFixed(2)} % too ${scale > 1 ? 'large' : 'small'}`;
