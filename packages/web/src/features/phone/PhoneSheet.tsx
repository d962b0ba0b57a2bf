import type { PhoneDoorView } from '@sardonyx/contract';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import {
  useGetPhoneDoorQuery,
  useOpenPhoneDoorMutation,
  useSendPhoneOutMutation,
  useShutPhoneDoorMutation,
} from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { Dialog } from '../../shared/ui/Dialog.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';

const HOURS = [1, 3, 6, 12].map((hours) => ({
  value: hours,
  label: hours === 1 ? 'one hour' : `${hours} hours`,
}));

/** The door for phones: shut, or open for an evening, with the way in and who is in. */
export function PhoneSheet({ onClose }: { readonly onClose: () => void }) {
  // The button in the top line keeps asking.
  const { data: door } = useGetPhoneDoorQuery();
  return (
    <Dialog isOpen onClose={onClose} title="Let a phone in">
      {door && (door.pin ? <Open door={door} pin={door.pin} /> : <Shut because={door.shutBecause} />)}
    </Dialog>
  );
}

function Shut({ because }: { readonly because: string }) {
  const [hours, setHours] = useState(3);
  const [open, { error, isLoading }] = useOpenPhoneDoorMutation();
  return (
    <div className="space-y-4">
      {because && <p className="font-semibold">{because}</p>}
      <p>
        A phone in the same network can then take pictures for the model that stands open here, read the step in hand
        with its clocks, and tick it. It sees nothing else of the bench.
      </p>
      <p>
        What passes between them is <strong>not encrypted</strong>: whoever is in the same network and wants to can read
        it, the number included. Do it at home, not where strangers share the network.
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <Field label="It shuts by itself after" width="14rem">
          <Select value={hours} options={HOURS} onChange={setHours} />
        </Field>
        <button type="button" className="main-button" disabled={isLoading} onClick={() => void open(hours)}>
          Open the door
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}

function Open({ door, pin }: { readonly door: PhoneDoorView; readonly pin: string }) {
  const [shut] = useShutPhoneDoorMutation();
  const [address] = door.addresses;
  return (
    <div className="space-y-5">
      <div className="flex flex-wrap gap-6">
        {address && (
          // Signs on paper white, whatever the light: cameras want them so.
          <div className="bg-white p-3" data-qr>
            <QRCodeSVG value={`${address}#${pin}`} size={184} title={`The way in: ${address}, number ${pin}`} />
          </div>
        )}
        <dl className="space-y-3">
          <div>
            <dt className="text-note text-soft-ink">Point the phone’s camera at it, or open</dt>
            {door.addresses.map((one) => (
              <dd key={one} className="figure text-lead">
                {one}
              </dd>
            ))}
          </div>
          <div>
            <dt className="text-note text-soft-ink">Number</dt>
            <dd className="figure text-verdict tracking-widest">{pin}</dd>
          </div>
          <div>
            <dt className="text-note text-soft-ink">Shuts by itself</dt>
            <dd>{formatMoment(door.closesAt!)}</dd>
          </div>
        </dl>
      </div>
      {address?.startsWith('http://127.') && (
        <p className="font-semibold">This machine is in no network: only a browser on it can come in.</p>
      )}
      {door.wrongTries > 0 && (
        <p className="font-semibold">
          Somebody sent a wrong number: {door.triesLeft} {door.triesLeft === 1 ? 'try is' : 'tries are'} left, then it
          is shut.
        </p>
      )}
      <Devices devices={door.devices} />
      <p className="flex flex-wrap items-center justify-between gap-3 border-t border-strong-line pt-4">
        <span className="text-note text-soft-ink">Not encrypted: for your own network only.</span>
        <button type="button" className="main-button" onClick={() => void shut()}>
          Shut it now
        </button>
      </p>
    </div>
  );
}

function Devices({ devices }: Pick<PhoneDoorView, 'devices'>) {
  const [sendOut] = useSendPhoneOutMutation();
  if (devices.length === 0) return <p>No phone is in yet.</p>;
  return (
    <ul aria-label="Phones that are in" className="space-y-1">
      {devices.map(({ id, who, mark, lastSeenAt }) => (
        <li key={id} className="flex flex-wrap items-center justify-between gap-3 border-t border-hairline py-1">
          <span>
            <strong>{who}</strong> <span className="figure">{mark}</span>
            <span className="block text-note text-soft-ink">
              The same signs stand on the phone. Seen {formatMoment(lastSeenAt)}
            </span>
          </span>
          <button type="button" className="plain-button" onClick={() => void sendOut(id)}>
            Send it out
          </button>
        </li>
      ))}
    </ul>
  );
}
