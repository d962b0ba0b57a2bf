import { PhoneIcon } from '../../shared/ui/icons.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { phoneSheetTurned } from '../../shared/ui/phoneSlice.ts';
import { usePhoneDoor } from './usePhoneDoor.ts';

/** In the top line while phones are let in: how many, and the way to the door. */
export function PhoneButton() {
  const door = usePhoneDoor();
  const dispatch = useAppDispatch();
  if (!door?.pin) return null;
  const count = door.devices.length;
  const words = count === 0 ? 'Phones may come in' : `${count} ${count === 1 ? 'phone is' : 'phones are'} in`;
  return (
    <button
      type="button"
      className="plain-button"
      aria-label={`Phones: ${words}`}
      title={words}
      onClick={() => dispatch(phoneSheetTurned(true))}
    >
      <PhoneIcon aria-hidden size={18} />
      Phones: {count}
    </button>
  );
}
