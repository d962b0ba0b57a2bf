import { BENCH_CARD, drawColourCardFace, readCardValues } from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { changeRow } from '../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../shared/store.ts';
import { useColourBench } from '../ColourContext.tsx';
import { FilePick } from '../../../shared/ui/FilePick.tsx';

const { widthMm, heightMm } = BENCH_CARD;
const CARD = `<svg xmlns="http://www.w3.org/2000/svg" width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">${drawColourCardFace()}</svg>`;
const CARD_HREF = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(CARD)}`;
const SHOWN = 4;

/** Which card lies in the picture: as it was designed, or the house's own as somebody measured it. */
export function HouseCard() {
  const { view } = useColourBench();
  const dispatch = useAppDispatch();
  const [problems, setProblems] = useState<readonly string[]>([]);
  const { house } = view;
  const save = (colourCard: typeof house.colourCard, label: string) =>
    dispatch(changeRow({ kind: 'house-style', row: house, changes: { colourCard }, label })).unwrap();
  const read = async (file: File) => {
    const { values, problems: found } = readCardValues(await file.text());
    setProblems(values ? [] : found.map(({ line, message }) => (line > 1 ? `Line ${line}: ${message}` : message)));
    if (values) await save(values, 'colour card as measured');
  };
  return (
    <Fold title={house.colourCard ? 'The card: the house’s own, as it was measured' : 'The card: as it was designed'}>
      <div className="space-y-3 py-2">
        <p>
          A card printed at home has colours of its own. Have its 28 fields (row by row from the upper left) and its
          white measured, and bring the spectra as CGATS text, samples named 1 to 28 and white.{' '}
          <a className="underline underline-offset-4" href={CARD_HREF} download="colour-card.svg">
            Card to print
          </a>
        </p>
        <div className="flex flex-wrap items-end gap-4">
          <FilePick
            label="The card’s measured values"
            accept=".txt,.cgats,text/plain"
            onFile={(file) => void read(file)}
          />
          {house.colourCard && (
            <button type="button" className="plain-button" onClick={() => void save(null, 'colour card as designed')}>
              As it was designed again
            </button>
          )}
        </div>
        {problems.length > 0 && (
          <div role="alert">
            <p>
              <Sign of="warning" />
              Not taken over; the card stays as it was.
            </p>
            <ul className="text-note">
              {problems.slice(0, SHOWN).map((problem) => (
                <li key={problem}>{problem}</li>
              ))}
              {problems.length > SHOWN && <li>and {problems.length - SHOWN} more</li>}
            </ul>
          </div>
        )}
      </div>
    </Fold>
  );
}
