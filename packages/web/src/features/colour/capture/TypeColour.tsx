import { TypeLab } from '../../../shared/colour/TypeLab.tsx';
import { Fold } from '../../../shared/ui/Fold.tsx';
import type { CaptureDraft } from './KeepCapture.tsx';

/** L*, a*, b* by hand: a reading from elsewhere, a fan deck, an old note. */
export function TypeColour({ onTyped }: { readonly onTyped: (draft: CaptureDraft) => void }) {
  return (
    <Fold className="border-t border-hairline pt-2" title="Type the numbers">
      <TypeLab
        act="Take these numbers"
        onTyped={(typed) =>
          onTyped({
            ...{ ...typed, spectrum: null, method: 'typed' },
            ...{ photoId: null, point: null, radius: 0, origin: 'typed; its spread is a planning estimate' },
          })
        }
      />
      <p className="text-note text-soft-ink">
        D65, 2° observer. L* from 0 to 100, a* and b* from −128 to 128. 45/0 and photographs leave the gloss out; a
        sphere with its trap closed has it in.
      </p>
    </Fold>
  );
}
