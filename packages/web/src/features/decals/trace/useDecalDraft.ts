import type { DecalArtwork, DrawnDecal, DrawnElement } from '@sardonyx/core';
import { useState } from 'react';

export interface DecalDraft {
  readonly name: string;
  readonly drawn: DrawnDecal;
  /** The version of the artwork that it was begun from; null for a new one. */
  readonly version: number | null;
}

const BLANK: DecalDraft = { name: '', drawn: { widthMm: 40, heightMm: 15, elements: [] }, version: null };

/** A decal that is being traced, kept in this browser until it is saved. */
export function useDecalDraft(artwork: DecalArtwork | null) {
  const key = `sardonyx.decal.${artwork?.id ?? 'new'}`;
  const saved: DecalDraft = artwork?.drawn
    ? { name: artwork.name, drawn: artwork.drawn, version: artwork.version }
    : BLANK;
  const [draft, setDraft] = useState<DecalDraft>(() => readKept(key) ?? saved);
  const change = (changes: Partial<DecalDraft>) => {
    const next = { ...draft, ...changes };
    setDraft(next);
    localStorage.setItem(key, JSON.stringify(next));
  };
  const changeElements = (elements: readonly DrawnElement[]) => change({ drawn: { ...draft.drawn, elements } });
  return {
    draft,
    isChanged: JSON.stringify(draft) !== JSON.stringify(saved),
    change,
    changeElements,
    /** It is on the server now, or is not wanted. */
    settle: () => {
      localStorage.removeItem(key);
      setDraft(saved);
    },
  };
}

function readKept(key: string): DecalDraft | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as DecalDraft | null;
  } catch {
    return null;
  }
}
