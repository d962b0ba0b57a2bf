import { useState } from 'react';

interface AskTwiceProps {
  /** On the quiet button: what would be removed. */
  readonly offer: string;
  /** What goes with it. */
  readonly warning: string;
  /** On the button that does it. */
  readonly act: string;
  readonly onAct: () => void;
}

/** For what cannot be undone in the catalogue: the second press does it, and says what goes. */
export function AskTwice({ offer, warning, act, onAct }: AskTwiceProps) {
  const [isAsked, setAsked] = useState(false);
  if (!isAsked)
    return (
      <button type="button" className="quiet-button" onClick={() => setAsked(true)}>
        {offer}
      </button>
    );
  return (
    <div role="alert" className="flex flex-wrap items-center gap-4 border-2 border-sard p-3">
      <p>{warning}</p>
      <button type="button" className="main-button" onClick={onAct}>
        {act}
      </button>
      <button type="button" className="plain-button" onClick={() => setAsked(false)}>
        Keep it
      </button>
    </div>
  );
}
