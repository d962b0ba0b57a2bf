import { useState } from 'react';
import { useGetBenchQuery } from '../shared/api/api.ts';
import { Popup } from '../shared/ui/Popup.tsx';
import { Radios } from '../shared/ui/Radios.tsx';
import { useWho } from '../shared/ui/useWho.ts';

/** Who stands at the bench: goes into every log entry of this window. */
export function Who() {
  const { data: bench } = useGetBenchQuery();
  const [who, setWho] = useWho();
  const [isOpen, setOpen] = useState(false);
  const names = (bench?.restorers ?? []).map(({ name }) => name);
  const trigger = (
    <button type="button" className="quiet-button">
      {who || 'Who is here?'}
    </button>
  );
  return (
    <Popup trigger={trigger} label="Who is at the bench" align="end" width="18rem" isOpen={isOpen} onOpen={setOpen}>
      <div className="space-y-2 p-4">
        {names.length > 0 && (
          <Radios label="Who is at the bench?" isList value={who} options={names} onChange={setWho} />
        )}
        <label className="block">
          {names.length > 0 ? 'Somebody else' : 'Who is at the bench?'}
          <input
            value={names.includes(who) ? '' : who}
            onChange={(event) => setWho(event.target.value)}
            maxLength={80}
          />
        </label>
        <button type="button" className="plain-button w-full" onClick={() => setOpen(false)}>
          That is all
        </button>
      </div>
    </Popup>
  );
}
