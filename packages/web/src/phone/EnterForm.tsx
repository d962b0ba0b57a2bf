import { useState, type FormEvent } from 'react';
import type { AppError } from '../shared/api/appError.ts';
import { ErrorNote } from '../shared/ui/Notice.tsx';
import { askBench } from './askBench.ts';

const WHO_KEY = 'sardonyx.phone.who';
/** The picture on the bench's screen brings the number along; it is never sent as part of an address. */
const readPin = () => /^#(\d{6})$/.exec(window.location.hash)?.[1] ?? '';

/** The way in: the number that the bench shows, and whose phone it is. */
export function EnterForm({ wasIn, onIn }: { readonly wasIn: boolean; readonly onIn: () => void }) {
  const [pin, setPin] = useState(readPin);
  const [who, setWho] = useState(() => localStorage.getItem(WHO_KEY) ?? '');
  const [error, setError] = useState<AppError | null>(null);
  const [isBusy, setBusy] = useState(false);
  const enter = async (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    const asked = await askBench('POST', 'enter', { pin, who: who.trim() });
    setBusy(false);
    setError(asked.error ?? null);
    if (asked.error) return;
    localStorage.setItem(WHO_KEY, who.trim());
    window.history.replaceState(null, '', '/');
    onIn();
  };
  return (
    <main className="mx-auto max-w-[30rem] p-4">
      <form className="space-y-4" onSubmit={(event) => void enter(event)}>
        <h1 className="text-lead font-semibold">{wasIn ? 'The bench has sent this phone out' : 'Come to the bench'}</h1>
        <label className="block space-y-1.5">
          <span className="block font-semibold">Number on the bench’s screen</span>
          <input
            className="w-full text-act tracking-widest"
            inputMode="numeric"
            autoComplete="one-time-code"
            pattern="\d{6}"
            maxLength={6}
            required
            value={pin}
            onChange={(event) => setPin(event.target.value.replace(/\D/g, ''))}
          />
        </label>
        <label className="block space-y-1.5">
          <span className="block font-semibold">Whose phone is this?</span>
          <input
            className="w-full"
            autoComplete="name"
            maxLength={60}
            required
            value={who}
            onChange={(event) => setWho(event.target.value)}
          />
          <span className="block text-note text-soft-ink">What it ticks is logged under this name.</span>
        </label>
        <button type="submit" className="main-button w-full" disabled={isBusy}>
          Come in
        </button>
        {error && <ErrorNote error={error} />}
      </form>
    </main>
  );
}
