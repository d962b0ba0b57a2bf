import { useState } from 'react';
import { AlertDialog } from '../../shared/ui/AlertDialog.tsx';
import { ContextMenu } from '../../shared/ui/ContextMenu.tsx';
import { Dialog } from '../../shared/ui/Dialog.tsx';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { CopyIcon, NearerIcon, PlusIcon } from '../../shared/ui/icons.ts';
import { Menu } from '../../shared/ui/Menu.tsx';
import { Toolbar } from '../../shared/ui/Toolbar.tsx';
import { Tooltip } from '../../shared/ui/Tooltip.tsx';
import { Shown } from './Shown.tsx';

export function ShowActs() {
  const [last, setLast] = useState('');
  const [isOn, setOn] = useState(false);
  const [isSheet, setSheet] = useState(false);
  const acts = [
    { word: 'Nearer', icon: NearerIcon, onAct: () => setLast('nearer') },
    { word: 'Copy', icon: CopyIcon, onAct: () => setLast('copied') },
    { word: 'Not now', onAct: () => setLast('never'), isDisabled: true },
    { word: 'Edges', onAct: () => setOn(!isOn), isOn },
  ];
  return (
    <>
      <Shown part="Buttons">
        <div className="flex flex-wrap items-center gap-3">
          <button type="button" className="main-button" onClick={() => setLast('main')}>
            <PlusIcon aria-hidden size={18} /> Start the bath
          </button>
          <button type="button" className="plain-button" onClick={() => setLast('plain')}>
            Leave it
          </button>
          <button type="button" className="quiet-button" onClick={() => setLast('quiet')}>
            Write a note
          </button>
          <button type="button" className="main-button" disabled>
            Closed
          </button>
        </div>
        <HeldButton onHeld={() => setLast('held')}>Drill the post</HeldButton>
        <p role="status">Last: {last || 'nothing'}</p>
      </Shown>
      <Shown part="Menus, toolbar, tooltip">
        <Menu acts={acts}>
          <button type="button" className="plain-button">
            More
          </button>
        </Menu>
        <ContextMenu acts={acts.slice(0, 3)}>
          <button type="button" className="plain-button">
            Press me with the other button
          </button>
        </ContextMenu>
        <Tooltip says="What the dip is made of">
          <button type="button" className="plain-button">
            Hover or focus
          </button>
        </Tooltip>
        <Toolbar label="Picture" acts={acts} />
      </Shown>
      <Shown part="Dialogs">
        <button type="button" className="plain-button" onClick={() => setSheet(true)}>
          Open a sheet
        </button>
        <Dialog isOpen={isSheet} onClose={() => setSheet(false)} title="A sheet over the bench">
          <p>Esc steps out; the focus goes back to where it was.</p>
        </Dialog>
        <AlertDialog
          offer="Throw the mix away"
          warning="1.30 ml of it are poured; the pots do not get them back."
          act="Throw it away"
          onAct={() => setLast('thrown away')}
        />
      </Shown>
    </>
  );
}
