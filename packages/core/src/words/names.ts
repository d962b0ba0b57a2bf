/** The name of a part inside a sentence. */
export const nameOf = ({ name }: { readonly name: string }): string => name.toLowerCase();

export function listNames(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]!}`;
}

/** The first letter of a sentence. */
export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

interface SaidFinding {
  readonly kind: string;
  readonly feature?: string;
  readonly note: string;
}

/** "cracked, split along the seam", without the full stop that somebody may have typed. */
export const describeFinding = ({ kind, feature = '', note }: SaidFinding): string =>
  `${feature ? `${feature} ` : ''}${kind}${note ? `, ${endWithoutStop(note)}` : ''}`;

/** "Finding: cracked, split along the seam." */
export const sayFinding = (finding: SaidFinding): string => `Finding: ${describeFinding(finding)}.`;

export const endWithoutStop = (text: string): string => (text.endsWith('.') ? text.slice(0, -1) : text);
