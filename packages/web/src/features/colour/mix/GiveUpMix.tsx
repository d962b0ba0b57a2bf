import { useGiveUpMixMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { AlertDialog } from '../../../shared/ui/AlertDialog.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';

/** The other end of a mixing, at any time. */
export function GiveUpMix({ mixId }: { readonly mixId: string }) {
  const [giveUp, { error }] = useGiveUpMixMutation();
  return (
    <div>
      <AlertDialog
        offer="Throw the mix away"
        warning="What was poured stays out of its pots; the log stays too."
        act="Throw it away"
        onAct={() => void giveUp(mixId)}
      />
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
