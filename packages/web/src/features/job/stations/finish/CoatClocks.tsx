import {
  answerArea,
  isStanding,
  isTaped,
  judgeSpans,
  type Area,
  type CoatAct,
  type CoatTouch,
  type SpanVerdict,
} from '@sardonyx/core';
import { useKeyCoatMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { createRow, deleteRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useJob } from '../../JobContext.tsx';
import { ACT_WORDS, sayBearing } from './sayBearing.ts';

const SHOWN: readonly CoatAct[] = ['touch', 'handle', 'mask', 'decal', 'wear'];

/** What the outermost coat of an area bears, and when; what a finger found; and keying where its window has shut. */
export function CoatClocks({ area, now }: { readonly area: Area; readonly now: Date }) {
  const { specimen, isClosed } = useJob();
  const [who] = useWho();
  const dispatch = useAppDispatch();
  const [key, keying] = useKeyCoatMutation();
  const own = specimen.layers
    .filter((layer) => layer.areaId === area.id && isStanding(layer))
    .sort((a, b) => b.seq - a.seq);
  const [top] = own;
  const film = specimen.film.filter(({ layerId }) => own.some(({ id }) => id === layerId));
  const last = film.find(({ layerId }) => layerId === top?.id);
  if (!top || !last) return null;
  const answers = answerArea(film, now.getTime());
  const stateOf = (act: CoatAct) => judgeSpans(last.spans[act], now.getTime()).state;
  const [recoat, isDry] = [stateOf('recoat'), stateOf('touch') === 'open'];
  const touches = specimen.touches.filter(({ layerId }) => layerId === top.id);
  const say = (test: CoatTouch['test'], isReady: boolean) =>
    void dispatch(
      createRow({
        kind: 'coat-touches',
        body: { layerId: top.id, test, isReady, at: now.toISOString(), who },
        label: `${top.name}: ${sayTouch({ test, isReady })}`,
      }),
    );
  return (
    <div className="space-y-2">
      <ul className="flex flex-wrap gap-x-5 gap-y-1 text-note">
        {SHOWN.map((act) => (
          <li key={act}>
            {ACT_WORDS[act]} <strong className="figure">{sayBearing(answers, act, now)}</strong>
          </li>
        ))}
      </ul>
      {isTaped(area, specimen.areas, specimen.layers) && (
        <TapeLine {...judgeSpans(last.spans.unmask, now.getTime())} now={now} />
      )}
      {touches.length > 0 && (
        <ul className="text-note" aria-label={`What fingers found of ${top.name}`}>
          {touches.map((touch) => (
            <li key={touch.id} className="flex flex-wrap items-center gap-x-2">
              {sayTouch(touch)}, {formatSoon(Date.parse(touch.at), now)}, {touch.who}
              {!isClosed && (
                <button
                  type="button"
                  className="quiet-button"
                  onClick={() =>
                    void dispatch(deleteRow({ kind: 'coat-touches', row: touch, label: `not so: ${sayTouch(touch)}` }))
                  }
                >
                  Take it back<span className="sr-only">: {sayTouch(touch)}</span>
                </button>
              )}
            </li>
          ))}
        </ul>
      )}
      {!isClosed && (
        <div className="flex flex-wrap items-center gap-2" role="group" aria-label={`${top.name}: what a finger finds`}>
          {!isDry && (
            <>
              <button type="button" className="plain-button" onClick={() => say('touch', false)}>
                Still tacky now
              </button>
              <button type="button" className="plain-button" onClick={() => say('touch', true)}>
                Dry to the touch now
              </button>
            </>
          )}
          {isDry && (recoat === 'not yet' || recoat === 'gap') && (
            <>
              <button type="button" className="plain-button" onClick={() => say('recoat', false)}>
                A nail still marks it
              </button>
              <button type="button" className="plain-button" onClick={() => say('recoat', true)}>
                A nail leaves no mark
              </button>
            </>
          )}
          {recoat === 'shut' && (
            <button
              type="button"
              className="main-button"
              disabled={keying.isLoading}
              onClick={() => void key({ id: top.id, who, isKeyed: true })}
            >
              Keyed: rubbed dull and wiped
            </button>
          )}
          {top.keyedAt !== null && (
            <>
              <span>Keyed {formatSoon(Date.parse(top.keyedAt), now)}</span>
              <button
                type="button"
                className="quiet-button"
                disabled={keying.isLoading}
                onClick={() => void key({ id: top.id, who, isKeyed: false })}
              >
                Not keyed after all
              </button>
            </>
          )}
        </div>
      )}
      {keying.error !== undefined && <ErrorNote error={readAppError(keying.error)} />}
    </div>
  );
}

/** The tape comes off while the coat still gives: later its edge tears. */
function TapeLine({ state, from, until, now }: SpanVerdict & { readonly now: Date }) {
  const by = until === null ? '' : ` before ${formatSoon(until, now)}`;
  if (state === 'open') return <p>Tape off{by || ' when you like'}: warmed, pulled flat back over itself.</p>;
  if (state === 'not yet' && from !== null)
    return (
      <p>
        Tape off from {formatSoon(from, now)}
        {by}.
      </p>
    );
  return (
    <p className="border-l-4 border-sard pl-3">
      The coat is hard: if tape is still on, cut along its edge and warm it before you pull.
    </p>
  );
}

const FOUND: Readonly<Record<CoatTouch['test'], readonly [ready: string, not: string]>> = {
  touch: ['dry to the touch', 'still tacky'],
  handle: ['firm in the hand', 'soft in the hand'],
  recoat: ['a nail leaves no mark', 'a nail still marks it'],
};

const sayTouch = ({ test, isReady }: Pick<CoatTouch, 'test' | 'isReady'>): string => FOUND[test][isReady ? 0 : 1];
