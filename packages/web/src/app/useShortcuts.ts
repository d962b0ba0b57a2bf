import { STATIONS } from '@sardonyx/core';
import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { undoLast } from '../shared/edits/editRow.ts';
import { useAppDispatch } from '../shared/store.ts';
import { areSingleKeysOn, isField, takesLetters } from '../shared/ui/singleKeys.ts';

/** Keys that work on every screen. Single keys act outside fields only, and can be switched off. */
export function useShortcuts(open: { readonly find: () => void; readonly sheet: () => void }): void {
  const navigate = useNavigate();
  const { pathname } = useLocation();
  const dispatch = useAppDispatch();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey;
      const jobId = /^\/jobs\/([^/]+)/.exec(pathname)?.[1];
      const station = STATIONS[Number(event.key) - 1];
      if (command && event.key.toLowerCase() === 'k') open.find();
      else if (command && !event.shiftKey && event.key.toLowerCase() === 'z' && !isField(event.target))
        void dispatch(undoLast());
      else if (event.altKey && station && jobId) void navigate(`/jobs/${jobId}/${station}`);
      else if (event.key === '?' && !takesLetters(event.target) && areSingleKeysOn()) open.sheet();
      else if (event.key === 'b' && !command && !event.altKey && !takesLetters(event.target) && areSingleKeysOn())
        void navigate('/');
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [open, navigate, pathname, dispatch]);
}
