import type { IdentifyFeature, SpecimenPart } from '@sardonyx/core';
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
  /** Those that it is seen on. */
  readonly parts: readonly SpecimenPart[];
}

/** The colours captured on the parts that a look is seen on, and which of them count. */
export function CapturedHere({ feature, parts }: CapturedHereProps) {
  const { specimen, view, isClosed } = useJob();
  const answer = useAnswer();
  const captures = specimen.captures.filter((one) => parts.some(({ id }) => id === one.specimenPartId));
  const counted = specimen.observations.find((one) => one.featureId === feature.id)?.captureIds ?? [];
  return (
    <>
      {captures.map((capture) => (
        <div
          key={capture.id}
          className="grid grid-cols-[auto_minmax(0,1fr)_auto] items-center gap-x-3 border-b border-hairline py-1"
        >
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
      {!isClosed && (
        <Link
          className="quiet-button inline-flex items-center"
          to={`/jobs/${view.job.id}/colour/capture?part=${parts[0]!.id}&answers=${feature.id}`}
        >
          Capture its colour
        </Link>
      )}
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
