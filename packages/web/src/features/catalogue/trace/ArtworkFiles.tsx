import type { CastingView } from '@sardonyx/contract';
import {
  InvalidInputError,
  readArtwork,
  writeArtwork,
  type Artwork,
  type SvgElement,
  type Trace,
} from '@sardonyx/core';
import { useState } from 'react';
import { saveFile } from '../../../shared/ui/saveFile.ts';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { FilePick } from '../../../shared/ui/FilePick.tsx';

interface ArtworkFilesProps {
  readonly view: CastingView;
  readonly trace: Trace;
  readonly onTake: (artwork: Trace['artwork']) => void;
}

/** A view out as SVG, and shapes of one's own drawing program in: what is named as a part becomes its shape. */
export function ArtworkFiles({ view, trace, onTake }: ArtworkFilesProps) {
  const [read, setRead] = useState<Artwork | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { casting, parts } = view;
  const save = () => {
    const drawn = casting.drawing.views.find((one) => one.view === trace.view)!;
    const content = new Blob([writeArtwork(drawn, parts)], { type: 'image/svg+xml' });
    saveFile(content, `${casting.number.replace(/\W+/g, '-')}-${trace.view}.svg`);
  };
  const bring = async (file: File) => {
    setRead(null);
    try {
      const parsed = new DOMParser().parseFromString(await file.text(), 'image/svg+xml');
      if (parsed.querySelector('parsererror'))
        throw new InvalidInputError('not-svg', 'This is no SVG file.', 'file', {});
      setRead(readArtwork(toElement(parsed.documentElement), parts));
      setProblem(null);
    } catch (error) {
      setProblem(error instanceof InvalidInputError ? error.message : String(error));
    }
  };
  const nameOf = new Map(parts.map(({ key, name }) => [key, name]));
  const named = read && [...new Set(read.shapes.map(({ partKey }) => nameOf.get(partKey)))];
  return (
    <Fold title="Artwork of your own, as SVG">
      <div className="space-y-3 py-2">
        <p className="text-soft-ink">
          Save the view, draw in any program, bring it back: groups and shapes that are named as a part are its shapes.
        </p>
        <div className="flex flex-wrap items-end gap-4">
          <button type="button" className="plain-button" onClick={save}>
            Save this view as SVG
          </button>
          <FilePick label="Bring in an SVG file" accept=".svg,image/svg+xml" onFile={(file) => void bring(file)} />
        </div>
        {problem && (
          <p role="alert">
            <Sign of="warning" />
            {problem} Nothing was taken.
          </p>
        )}
        {read && (
          <div role="status">
            <p>
              {read.shapes.length} {read.shapes.length === 1 ? 'shape' : 'shapes'} of {named!.join(', ')}.
              {read.unknown.length > 0 && ` No part is called ${read.unknown.slice(0, 8).join(', ')}: left out.`}
            </p>
            <button
              type="button"
              className="main-button mt-2"
              onClick={() => {
                const keys = new Set(read.shapes.map(({ partKey }) => partKey));
                onTake([...trace.artwork.filter(({ partKey }) => !keys.has(partKey)), ...read.shapes]);
                setRead(null);
              }}
            >
              Take these shapes
            </button>
          </div>
        )}
        {trace.artwork.length > 0 && (
          <button type="button" className="quiet-button" onClick={() => onTake([])}>
            Take the artwork out ({trace.artwork.length})
          </button>
        )}
      </div>
    </Fold>
  );
}

function toElement(element: Element): SvgElement {
  const children = [...element.children];
  return {
    tag: element.localName,
    attributes: Object.fromEntries([...element.attributes].map(({ name, value }) => [name, value])),
    title: children.find(({ localName }) => localName === 'title')?.textContent ?? '',
    children: children.map(toElement),
  };
}
