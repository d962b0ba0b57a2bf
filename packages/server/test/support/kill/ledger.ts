/**
 * What a bench said that it kept, as somebody would write it down beside it: by name, never by what the server makes of it.
 * A thing whose answer did not come may be there or not.
 */
export interface Ledger {
  /** Words of notes. */
  readonly notes: Set<string>;
  /** Findings by the words that they were made with, and what they may say now. */
  readonly findings: Map<string, { id: string; version: number; says: Set<string> }>;
  /** Captions of photographs, with the hash under which each was kept. */
  readonly photos: Map<string, string>;
  /** Names of pots. */
  readonly pots: Set<string>;
}

export const openLedger = (): Ledger => ({ notes: new Set(), findings: new Map(), photos: new Map(), pots: new Set() });

export const copyLedger = (ledger: Ledger): Ledger => ({
  notes: new Set(ledger.notes),
  findings: new Map(
    [...ledger.findings].map(([name, { id, version, says }]) => [name, { id, version, says: new Set(says) }]),
  ),
  photos: new Map(ledger.photos),
  pots: new Set(ledger.pots),
});

/** What is really there. */
export interface Found {
  readonly notes: readonly string[];
  readonly findings: readonly { readonly id: string; readonly note: string }[];
  /** Captions, and whether the picture under the hash is whole. */
  readonly photos: readonly { readonly caption: string; readonly hash: string; readonly isWhole: boolean }[];
  readonly pots: readonly string[];
}

/** Everything that was acknowledged and is not there, is there twice, or says something that nobody wrote. */
export function compareLedger(ledger: Ledger, found: Found): string[] {
  const faults: string[] = [];
  const once = (kind: string, name: string, list: readonly string[]) => {
    const count = list.filter((one) => one === name).length;
    if (count !== 1) faults.push(`${kind} "${name}" is there ${count} times`);
  };
  for (const note of ledger.notes) once('note', note, found.notes);
  for (const pot of ledger.pots) once('pot', pot, found.pots);
  for (const [name, { id, says }] of ledger.findings) {
    const there = found.findings.filter((one) => one.id === id);
    if (there.length !== 1) faults.push(`finding "${name}" is there ${there.length} times`);
    else if (!says.has(there[0]!.note)) faults.push(`finding "${name}" says "${there[0]!.note}"`);
  }
  for (const [caption, hash] of ledger.photos) {
    once(
      'photo',
      caption,
      found.photos.map((one) => one.caption),
    );
    const there = found.photos.find((one) => one.caption === caption);
    if (there && (there.hash !== hash || !there.isWhole)) faults.push(`photo "${caption}" is not what was sent`);
  }
  return faults;
}
