import { useState } from 'react';
import { EmptyNote, ErrorNote, LoadingNote } from '../../shared/ui/Notice.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Toasts } from '../../shared/ui/Toasts.tsx';
import { Shown } from './Shown.tsx';

export function ShowNews() {
  const [news, setNews] = useState<readonly { readonly id: number; readonly text: string }[]>([]);
  const [ended, setEnded] = useState(false);
  return (
    <Shown part="News">
      <ErrorNote
        error={{ kind: 'refused', message: 'The room is still being aired.' }}
        onClose={() => setEnded(true)}
      />
      <ErrorNote
        error={{
          kind: 'bad input',
          message: '',
          reasons: [
            { code: 'still-waiting', message: 'The vessel holds 0.4 litres.' },
            { code: 'still-waiting', message: 'Water comes first.' },
          ],
        }}
      />
      <EmptyNote title="No pot is here yet.">Put one on the shelf.</EmptyNote>
      <LoadingNote what="the shelf" />
      <div className="space-y-3">
        <Progress
          what={ended ? 'Ended, and begun again' : 'Straightening the picture'}
          share={0.42}
          onEnd={() => setEnded(true)}
        />
        <Progress what="Reading the file" share={null} />
      </div>
      <button
        type="button"
        className="plain-button"
        onClick={() => setNews([...news, { id: news.length + 1, text: `${news.length + 1} pots were added.` }])}
      >
        Say something
      </button>
      <Toasts shown={news} onClose={(id) => setNews(news.filter((one) => one.id !== id))} />
    </Shown>
  );
}
