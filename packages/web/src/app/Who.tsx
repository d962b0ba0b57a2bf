import { Popover } from 'radix-ui';
import { useGetBenchQuery } from '../shared/api/api.ts';
import { useWho } from '../shared/ui/useWho.ts';

/** Who stands at the bench: goes into every log entry of this window. */
export function Who() {
  const { data: bench } = useGetBenchQuery();
  const [who, setWho] = useWho();
  return (
    <Popover.Root>
      <Popover.Trigger className="quiet-button">{who || 'Who is here?'}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} className="z-40 w-72 space-y-2 border border-strong-line bg-sheet p-4">
          <p className="font-semibold">Who is at the bench?</p>
          {(bench?.restorers ?? []).map((restorer) => (
            <Popover.Close
              key={restorer.id}
              className="plain-button w-full"
              aria-pressed={who === restorer.name}
              onClick={() => setWho(restorer.name)}
            >
              {restorer.name}
            </Popover.Close>
          ))}
          <label className="block">
            Somebody else
            <input value={who} onChange={(event) => setWho(event.target.value)} maxLength={80} />
          </label>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
