import { useState } from 'react';
import { Switch } from '../shared/ui/Switch.tsx';
import { Dialog } from '../shared/ui/Dialog.tsx';
import { areSingleKeysOn, setSingleKeys } from '../shared/ui/singleKeys.ts';

const KEYS: readonly (readonly [string, string])[] = [
  ['Ctrl or Cmd + K', 'Find a model, casting, part, paint or thing of a drawer'],
  ['Alt + 1 to 7', 'Go to a station of the job'],
  ['Ctrl or Cmd + Z', 'Undo the last edit of this window'],
  ['Arrow keys', 'Move along the tray, and through look-points and parts'],
  ['1 to 9, 0', 'In the list of looks: what you see'],
  ['s, l, u', 'In the list of looks: sure, likely, unsure'],
  ['c, r, m', 'In the list of looks: cannot see, replaced, missing'],
  ['n', 'In the list of looks: to the look that tells most next'],
  ['Hold Space or Enter', 'Act that cannot be undone: 1.5 seconds'],
  ['Esc', 'Step out of what is open'],
  ['b', 'To the bench'],
  ['?', 'This sheet'],
];

export function ShortcutSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  const [isOn, setOn] = useState(areSingleKeysOn);
  return (
    <Dialog isOpen={isOpen} onClose={onClose} title="Keys">
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {KEYS.map(([keys, act]) => (
          <div key={keys} className="contents">
            <dt className="figure font-semibold">{keys}</dt>
            <dd>{act}</dd>
          </div>
        ))}
      </dl>
      <Switch
        isOn={isOn}
        onChange={(isChecked) => {
          setOn(isChecked);
          setSingleKeys(isChecked);
        }}
      >
        Single keys (b, ?, and those of the list of looks):
      </Switch>
    </Dialog>
  );
}
