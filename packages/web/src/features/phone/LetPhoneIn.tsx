import { PhoneIcon } from '../../shared/ui/icons.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { phoneSheetTurned } from '../../shared/ui/phoneSlice.ts';

/** Opens the sheet with the door for phones. */
export function LetPhoneIn({ onPress }: { readonly onPress?: () => void }) {
  const dispatch = useAppDispatch();
  const press = () => {
    onPress?.();
    dispatch(phoneSheetTurned(true));
  };
  return (
    <button type="button" className="plain-button" onClick={press}>
      <PhoneIcon aria-hidden size={18} /> Let a phone in
    </button>
  );
}
