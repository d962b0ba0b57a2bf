import { useTheme } from '../../shared/ui/useTheme.ts';
import { ShowActs } from './ShowActs.tsx';
import { ShowChoices } from './ShowChoices.tsx';
import { ShowFields } from './ShowFields.tsx';
import { ShowFolds } from './ShowFolds.tsx';
import { ShowNews } from './ShowNews.tsx';
import { ShowPictures } from './ShowPictures.tsx';
import { ShowTables } from './ShowTables.tsx';

/** Every part of the kit in every state, for whoever builds a screen and for the checks that run on it. */
export function KitPage() {
  const [theme, switchTheme] = useTheme();
  return (
    <main className="mx-auto h-dvh max-w-6xl overflow-y-auto p-6">
      <div className="flex items-center justify-between gap-4 pb-4">
        <h1>The kit</h1>
        <button type="button" className="plain-button" onClick={switchTheme}>
          {theme === 'day' ? 'By lamp' : 'By day'}
        </button>
      </div>
      <ShowChoices />
      <ShowFields />
      <ShowActs />
      <ShowFolds />
      <ShowNews />
      <ShowPictures />
      <ShowTables />
    </main>
  );
}
