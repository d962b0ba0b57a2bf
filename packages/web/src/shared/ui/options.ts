/** What an option may stand for; null is "none of these". */
export type OptionValue = string | number | boolean | null;

export interface Option<V extends OptionValue> {
  readonly value: V;
  readonly label: string;
  /** A second, quieter line. */
  readonly note?: string;
  /** Options with the same word stand together under it, in the order in which they come. */
  readonly group?: string;
  readonly isDisabled?: boolean;
}

/** A plain word stands for itself. */
export type OptionLike<V extends OptionValue> = V | Option<V>;

export const asOption = <V extends OptionValue>(one: OptionLike<V>): Option<V> =>
  typeof one === 'object' && one !== null ? one : { value: one, label: String(one) };

/** Options in the order of their groups; those without one come under ''. */
export function groupOptions<O extends { readonly group?: string }>(options: readonly O[]): [group: string, O[]][] {
  const groups = new Map<string, O[]>();
  for (const option of options) {
    const name = option.group ?? '';
    groups.set(name, [...(groups.get(name) ?? []), option]);
  }
  return [...groups];
}
