import { answerArea, answerAt, isStanding, type Area, type CoatAct } from '@sardonyx/core';
import { useKeyCoatMutation, useTouchCoatMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useJob } from '../../JobContext.tsx';
import { ACT_WORDS } from './DryingRuler.tsx';

const SHOWN: readonly CoatAct[] = ['touch', 'handle', 'mask', 'decal', 'wear'];

/** What the outermost coat of an area bears, and when; what a finger found; and keying where its window has shut. */
export function CoatClocks({ area, now }: { readonly area: Area; readonly now: Date }) {
  const { specimen, isClosed } = useJob();
  const [who] = useWho();
  const [touch, touching] = useTouchCoatMutation();
  const [key, keying] = useKeyCoatMutation();
  const own = specimen.layers.filter((layer) => layer.areaId === area.id && isStanding(layer));
  const top = own.sort((a, b) => b.seq - a.seq)[0];
  const film = specimen.film.filter(({ layerId }) => own.some(({ id }) => id === layerId));
  const last = film.find(({ layerId }) => layerId === top?.id);
  if (!top || !last) return null;
  const at = now.getTime();
  const answers = answerArea(film, at);
  const recoat = answerAt(last.spans.recoat, at);
  const isShut = !recoat.isAllowed && recoat.changesAt === null && last.spans.recoat.length > 0;
  const isDry = answerAt(last.spans.touch, at).isAllowed;
  const say = (test: 'touch' | 'recoat', isReady: boolean) =>
    void touch({ id: top.id, test, isReady, at: now.toISOString(), who });
  const error = touching.error ?? keying.error;
  return (
    <div className="space-y-2">
      <ul className="flex flex-wrap gap-x-5 gap-y-1 text-note">
        {SHOWN.map((act) => {
          const { isAllowed, changesAt } = answers.find((one) => one.act === act)!;
          return (
            <li key={act}>
              {ACT_WORDS[act]}{' '}
              <strong className="figure">
                {isAllowed ? 'now' : changesAt === null ? 'not in this room' : formatSoon(changesAt, now)}
              </strong>
            </li>
          );
        })}
      </ul>
      {!isClosed && (
        <div className="flex flex-wrap items-center gap-2" role="group" aria-label={`${top.name}: what a finger finds`}>
          {!isDry && (
            <button type="button" className="plain-button" onClick={() => say('touch', false)}>
              Still tacky now
            </button>
          )}
          {!isDry && (
            <button type="button" className="plain-button" onClick={() => say('touch', true)}>
              Dry to the touch now
            </button>
          )}
          {isDry && !recoat.isAllowed && !isShut && (
            <>
              <button type="button" className="plain-button" onClick={() => say('recoat', false)}>
                A nail still marks it
              </button>
              <button type="button" className="plain-button" onClick={() => say('recoat', true)}>
                A nail leaves no mark
              </button>
            </>
          )}
          {isShut && (
            <button type="button" className="main-button" onClick={() => void key({ id: top.id, who })}>
              Keyed: rubbed dull and wiped
            </button>
          )}
        </div>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}
