import { useState } from 'react';
import { readAppError } from '../../shared/api/appError.ts';
import { useBringArtworkMutation, useBringPictureMutation } from '../../shared/api/decalApi.ts';
import { BringFile } from '../../shared/form/BringFile.tsx';
import { readNumber } from '../../shared/form/readNumber.ts';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

/** Artwork out of a file: SVG says how large it is, of a PNG that is to be said. */
export function BringArtwork({ onBrought }: { readonly onBrought: (artworkId: string) => void }) {
  const [bring, { error, isLoading }] = useBringArtworkMutation();
  const [picture, setPicture] = useState<File | null>(null);
  const read = async (file: File) => {
    if (/\.png$/i.test(file.name)) return setPicture(file);
    setPicture(null);
    const { data } = await bring(file);
    if (data) onBrought(data.id);
  };
  return (
    <>
      <BringFile
        label="Bring artwork in: SVG with plain shapes and flat colours, text as paths; or PNG of flat colours"
        accept=".svg,.png,image/svg+xml,image/png"
        isReading={isLoading}
        refused={picture ? undefined : error}
        onFile={(file) => void read(file)}
      />
      {picture && (
        <PictureForm
          key={`${picture.name} ${picture.lastModified}`}
          file={picture}
          onDone={(id) => {
            setPicture(null);
            onBrought(id);
          }}
          onDrop={() => setPicture(null)}
        />
      )}
    </>
  );
}

interface PictureFormProps {
  readonly file: File;
  readonly onDone: (artworkId: string) => void;
  readonly onDrop: () => void;
}

function PictureForm({ file, onDone, onDrop }: PictureFormProps) {
  const [width, setWidth] = useState('');
  const [isWhitePaper, setWhitePaper] = useState(true);
  const [bring, { error, isLoading }] = useBringPictureMutation();
  const known = error === undefined ? null : readAppError(error);
  return (
    <form
      aria-label={`How large is ${file.name}?`}
      className="space-y-2 border border-strong-line bg-sheet p-4"
      onSubmit={(event) => {
        event.preventDefault();
        void bring({ file, isWhitePaper, widthMm: readNumber(width)! }).then(({ data }) => data && onDone(data.id));
      }}
    >
      <p>
        <strong>{file.name}</strong>: measure the old decal, a PNG does not say how large it is.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <Field label="What is printed is wide, mm" width="14rem" error={known?.fields?.widthMm}>
          <input inputMode="decimal" value={width} onChange={(event) => setWidth(event.target.value)} />
        </Field>
        <Checkbox checked={isWhitePaper} onChange={setWhitePaper}>
          White is the paper, and not printed
        </Checkbox>
      </div>
      <div className="flex flex-wrap gap-3">
        <button type="submit" className="plain-button" disabled={isLoading}>
          Make it an artwork
        </button>
        <button type="button" className="quiet-button" onClick={onDrop}>
          Leave it
        </button>
      </div>
      {isLoading && <p role="status">It is read and its colours are parted …</p>}
      {known && !known.fields?.widthMm && <ErrorNote error={known} />}
    </form>
  );
}
