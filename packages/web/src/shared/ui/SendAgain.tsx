interface SendAgainProps {
  /** What each of the kept ones is called. */
  readonly names: readonly string[];
  readonly onAgain: () => void;
  readonly onThrowAway: () => void;
}

/** Pictures that could not go are kept by the page until they are sent, or thrown away. */
export function SendAgain({ names, onAgain, onThrowAway }: SendAgainProps) {
  if (names.length === 0) return null;
  return (
    <div className="flex w-full flex-wrap gap-2">
      <button type="button" className="plain-button" onClick={onAgain}>
        Send again: {names.join(', ')}
      </button>
      <button type="button" className="quiet-button" onClick={onThrowAway}>
        Throw {names.length === 1 ? 'it' : 'them'} away
      </button>
    </div>
  );
}
