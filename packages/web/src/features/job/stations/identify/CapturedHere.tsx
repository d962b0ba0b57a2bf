import {
  findOverpaint,
  formatPercent,
  selectColourFeatures,
  type CapturedState,
  type IdentifyFeature,
} from '@sardonyx/core';
import { Link } from 'react-router';
import { Swatch } from '../../../../shared/colour/Swatch.tsx';
import { formatLab } from '../../../../shared/colour/formatColour.ts';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Menu } from '../../../../shared/ui/Menu.tsx';
import { useJob } from '../../JobContext.tsx';
import { useAnswer } from './useAnswer.ts';

interface CapturedHereProps {
  readonly feature: IdentifyFeature;
  /** What the captured colours say of its states; nothing while none answers. */
  readonly states: readonly CapturedState[] | undefined;
}

/**
 * A feature of colour is answered by measuring: the colours captured on the parts that it is seen on, which of them count,
 * and how near they are to what is known of each state.
 */
export function CapturedHere({ feature, states }: CapturedHereProps) {
  const { specimen, view, isClosed } = useJob();
  const answer = useAnswer();
  const parts = specimen.parts.filter((part) =>
    selectColourFeatures(specimen, part.id).some(({ id }) => id === feature.id),
  );
  const captures = specimen.captures.filter((one) => parts.some(({ id }) => id === one.specimenPartId));
  const given = specimen.observations.find((one) => one.featureId === feature.id);
  const counted = given?.captureIds ?? [];
  if (parts.length === 0) return null;
  return (
    <section aria-label={`${feature.label}: captured colours`} className="mt-3 border-t border-hairline pt-2">
      <h3>By measuring</h3>
      {captures.map((capture) => (
        <div key={capture.id} className="flex flex-wrap items-center gap-x-3 border-b border-hairline py-1">
          <Swatch
            lab={capture.lab}
            label={`Captured, ${capture.place}`}
            className="h-9 w-12 border border-strong-line"
          />
          <Checkbox
            checked={counted.includes(capture.id)}
            disabled={isClosed}
            onChange={(isCounted) =>
              answer(feature, {
                captureIds: isCounted ? [...counted, capture.id] : counted.filter((id) => id !== capture.id),
              })
            }
          >
            {capture.place}
            {capture.note && `, ${capture.note}`}: <span className="figure">{formatLab(capture.lab)}</span>
            {capture.geometry === 'gloss included' && ', gloss included'}
          </Checkbox>
          {!isClosed && <TakeAsState feature={feature} capture={capture} />}
        </div>
      ))}
      {counted.length > 0 && <SayStates feature={feature} states={states} />}
      {!isClosed && (
        <Link
          className="quiet-button inline-flex items-center"
          to={`/jobs/${view.job.id}/colour/capture?part=${parts[0]!.id}&answers=${feature.id}`}
        >
          Capture its colour
        </Link>
      )}
    </section>
  );
}

function SayStates({ feature, states }: CapturedHereProps) {
  const { specimen } = useJob();
  const given = specimen.observations.find((one) => one.featureId === feature.id);
  if (given?.certainty === 'replaced')
    return <p>Said to be replaced: a captured colour says nothing of the issue, and is not counted.</p>;
  if (given?.certainty === 'missing') return <p>The part is missing: a captured colour is not counted.</p>;
  if (feature.group === 'outer coat' && findOverpaint(specimen))
    return <p>The body is overpainted: a colour of its outside is somebody else’s, and is not counted.</p>;
  if (!states) return null;
  const labelOf = new Map(feature.states.map(({ id, label }) => [id, label]));
  const rest = 1 - states.reduce((sum, { share }) => sum + share, 0);
  const isAnyMeasured = states.some(({ de }) => de !== null);
  return (
    <>
      <ul className="my-1">
        {states.map(({ stateId, share, de }) => (
          <li key={stateId} className="flex gap-3">
            <span className="figure w-24 shrink-0 text-right whitespace-nowrap">{formatPercent(share)}</span>
            <span>
              {labelOf.get(stateId)}
              <span className="text-soft-ink">{de === null ? ', not measured' : `, ${de.toFixed(1)} dE00 away`}</span>
            </span>
          </li>
        ))}
        <li className="flex gap-3 text-soft-ink">
          <span className="figure w-24 shrink-0 text-right whitespace-nowrap">{formatPercent(Math.max(0, rest))}</span>
          none of them
        </li>
      </ul>
      <p className="text-note text-soft-ink">
        {isAnyMeasured
          ? 'If all were alike beforehand; reading, batch and fading counted in (planning estimates). Between measured states the number decides, not the eye.'
          : 'No state of it was measured on another model or as new: only its swatch is there to hold it against.'}
      </p>
    </>
  );
}

interface TakeAsStateProps {
  readonly feature: IdentifyFeature;
  readonly capture: ReturnType<typeof useJob>['specimen']['captures'][number];
}

/** What is known of a state's colour can be what one model showed. */
function TakeAsState({ feature, capture }: TakeAsStateProps) {
  const { specimen } = useJob();
  const dispatch = useAppDispatch();
  const rows = specimen.casting?.states.filter((state) => state.featureId === feature.id) ?? [];
  const { lab, sd, geometry, place } = capture;
  return (
    <Menu
      acts={rows.map((state) => ({
        word: state.colour ? `${state.label} (in place of what was measured)` : state.label,
        onAct: () =>
          void dispatch(
            changeRow({
              ...{ kind: 'feature-states', row: state, label: `${state.label}: measured colour` },
              changes: { colour: { lab, sd, geometry, place, specimenId: specimen.specimen.id } },
            }),
          ),
      }))}
    >
      <button type="button" className="quiet-button ml-auto">
        This is the colour of ...
      </button>
    </Menu>
  );
}
