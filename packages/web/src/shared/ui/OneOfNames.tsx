interface OneOfNamesProps {
  /** What they are: "Parts". */
  readonly label: string;
  readonly of: readonly { readonly id: string; readonly name: string }[];
  readonly value: string | undefined;
  readonly onChange: (id: string) => void;
}

/** Which of a few things with names of their own is looked at; one alone needs no choice. */
export function OneOfNames({ label, of, value, onChange }: OneOfNamesProps) {
  if (of.length < 2) return null;
  return (
    <ul aria-label={label} className="flex flex-wrap gap-2">
      {of.map(({ id, name }) => (
        <li key={id}>
          <button
            type="button"
            className={id === value ? 'main-button' : 'plain-button'}
            aria-pressed={id === value}
            onClick={() => onChange(id)}
          >
            {name}
          </button>
        </li>
      ))}
    </ul>
  );
}
