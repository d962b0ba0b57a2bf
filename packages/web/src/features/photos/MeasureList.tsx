import type { SpecimenView } from '@sardonyx/contract';
import { SIZE_NAMES, type PhotoMeasure, type SizeName } from '@sardonyx/core';
import { Sign } from '../../shared/ui/Sign.tsx';
import { changeRow, createRow, deleteRow } from '../../shared/edits/editRow.ts';
import { capitalise } from '../../shared/format.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { formatMeasured } from './MeasureTool.tsx';

interface MeasureListProps {
  readonly measures: readonly PhotoMeasure[];
  readonly specimen: SpecimenView;
  readonly isClosed: boolean;
}

const isSizeName = (label: string): label is SizeName => SIZE_NAMES.includes(label as SizeName);

/** What was measured on a photograph; a wheelbase or a length can speak for the identification. */
export function MeasureList({ measures, specimen, isClosed }: MeasureListProps) {
  const dispatch = useAppDispatch();
  if (measures.length === 0) return null;
  const use = (measure: PhotoMeasure, what: SizeName) => {
    const row = specimen.measurements.find((one) => one.what === what);
    // To a hundredth, never said to be surer than a caliper.
    const values = {
      valueMm: Math.round(measure.value * 100) / 100,
      spreadMm: Math.max(0.05, Math.round(measure.sd * 100) / 100),
    };
    const label = `${what} from the photo`;
    if (row) void dispatch(changeRow({ kind: 'measurements', row, changes: values, label }));
    else
      void dispatch(
        createRow({ kind: 'measurements', body: { specimenId: specimen.specimen.id, what, ...values }, label }),
      );
  };
  return (
    <section aria-label="Measured">
      <h2 className="mb-1">Measured, 95 of 100 within</h2>
      <ul>
        {measures.map((measure) => {
          const { label } = measure;
          const known = isSizeName(label) ? specimen.measurements.find((one) => one.what === label) : undefined;
          const isUsed = known !== undefined && Math.abs(known.valueMm - measure.value) < 0.006;
          return (
            <li key={measure.id} className="flex flex-wrap items-center gap-x-3 border-t border-hairline py-1">
              <span className="grow">
                {capitalise(label)}: <strong className="figure">{formatMeasured(measure, measure.kind)}</strong>
                {measure.nearerMm !== 0 && (
                  <span className="text-note text-soft-ink"> {measure.nearerMm} mm nearer, corrected</span>
                )}
              </span>
              {!isClosed && isSizeName(label) && measure.kind === 'length' && (
                <button type="button" className="plain-button" onClick={() => use(measure, label)}>
                  {isUsed && <Sign of="check" />}
                  {isUsed ? 'used at Identify' : 'Use it at Identify'}
                </button>
              )}
              {!isClosed && (
                <button
                  type="button"
                  className="quiet-button"
                  onClick={() =>
                    void dispatch(deleteRow({ kind: 'photo-measures', row: measure, label: `removed ${label}` }))
                  }
                >
                  Remove
                  <span className="sr-only"> {label}</span>
                </button>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
