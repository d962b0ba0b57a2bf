import {
  computeStack,
  MATERIAL_CERTAINTIES,
  MATERIALS,
  ORIGINS,
  PART_STATES,
  type Area,
  type SpecimenPart,
} from '@sardonyx/core';
import { Select } from '../../../../shared/ui/Select.tsx';
import { Checkbox } from '../../../../shared/ui/Checkbox.tsx';
import { Band } from '../../../../shared/drawing/Band.tsx';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { Field } from '../../../../shared/ui/Field.tsx';
import { useAppDispatch } from '../../../../shared/store.ts';
import { Autosaved } from '../../../../shared/form/Autosaved.tsx';
import { useJob } from '../../JobContext.tsx';
import { AddLayer } from './AddLayer.tsx';
import { AddFinding, AddWant } from './AddToPart.tsx';
import { FindingList } from './FindingList.tsx';
import { LayerList } from './LayerList.tsx';

interface PartPanelProps {
  readonly part: SpecimenPart;
  /** Id of the finding whose place is pointed at next. */
  readonly inHand: string | null;
  readonly onTake: (findingId: string | null) => void;
}

/** The part in hand: what it is, what was found on it, and its coatings from the metal outwards. */
export function PartPanel({ part, inHand, onTake }: PartPanelProps) {
  const { specimen, isClosed } = useJob();
  const areas = specimen.areas.filter((area) => area.specimenPartId === part.id);
  return (
    <section aria-label={`Part: ${part.name}`} className="space-y-4 border border-strong-line bg-sheet p-4">
      <h2>{part.name}</h2>
      <fieldset disabled={isClosed} className="grid gap-3 sm:grid-cols-4">
        <Choice part={part} field="material" label="Made of" options={MATERIALS} />
        <Choice part={part} field="materialCertainty" label="How sure" options={MATERIAL_CERTAINTIES} />
        <Choice part={part} field="state" label="State" options={PART_STATES} />
        <Choice part={part} field="origin" label="Where it is from" options={ORIGINS} />
        <KeepChoice part={part} />
        <div className="sm:col-span-4">
          <Autosaved kind="specimen-parts" row={part} field="originNote" label="More on where it is from" />
        </div>
      </fieldset>
      <FindingList part={part} inHand={inHand} onTake={onTake} />
      {!isClosed && (
        <div className="grid gap-4 lg:grid-cols-2">
          <AddFinding part={part} />
          <AddWant part={part} />
        </div>
      )}
      <div className="space-y-3">
        <h3>Coatings as found, from the metal outwards</h3>
        {areas.map((area) => (
          <FoundArea key={area.id} area={area} part={part} />
        ))}
      </div>
    </section>
  );
}

function FoundArea({ area, part }: { readonly area: Area; readonly part: SpecimenPart }) {
  const { specimen, isClosed } = useJob();
  const layers = specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === 'found');
  const stack = computeStack(layers);
  return (
    <div className="flex gap-4">
      <Band
        layers={layers}
        material={part.material}
        width={56}
        height={72}
        label={`${part.name}, ${area.name} as found`}
      />
      <div className="min-w-0 grow space-y-1">
        <p>
          <strong>{area.name}</strong>{' '}
          <span className="text-soft-ink">
            {layers.length
              ? `${Math.round(stack.totalUm)} ± ${Math.round(stack.spreadUm)} µm in all (${stack.measured ? 'measured' : 'planning estimate'})`
              : 'nothing written down'}
          </span>
        </p>
        <LayerList layers={layers} />
        {!isClosed && (
          <AddLayer key={layers.length} area={area} nextSeq={Math.max(-1, ...layers.map((layer) => layer.seq)) + 1} />
        )}
      </div>
    </div>
  );
}

/** Bright metal that stays bright, a coat worth keeping, somebody else's finished work. */
function KeepChoice({ part }: { readonly part: SpecimenPart }) {
  const dispatch = useAppDispatch();
  return (
    <Checkbox
      className="sm:col-span-4"
      checked={part.isKept}
      onChange={(isChecked) =>
        void dispatch(
          changeRow({
            kind: 'specimen-parts',
            row: part,
            changes: { isKept: isChecked },
            label: `${part.name}: ${isChecked ? 'kept as it is' : 'worked on'}`,
          }),
        )
      }
    >
      Keep it as it is: neither stripped, mended nor painted, covered while others are
    </Checkbox>
  );
}

type ChoiceField = 'material' | 'materialCertainty' | 'state' | 'origin';

interface ChoiceProps<F extends ChoiceField> {
  readonly part: SpecimenPart;
  readonly field: F;
  readonly label: string;
  readonly options: readonly SpecimenPart[F][];
}

function Choice<F extends ChoiceField>({ part, field, label, options }: ChoiceProps<F>) {
  const dispatch = useAppDispatch();
  return (
    <Field label={label}>
      <Select
        value={part[field]}
        options={options}
        onChange={(value) =>
          void dispatch(
            changeRow({
              kind: 'specimen-parts',
              row: part,
              changes: { [field]: value },
              label: `${part.name}, ${label.toLowerCase()}: ${value}`,
            }),
          )
        }
      />
    </Field>
  );
}
