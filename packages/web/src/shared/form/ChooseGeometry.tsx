import { GEOMETRIES, type Geometry } from '@sardonyx/core';
import { Field } from '../ui/Field.tsx';
import { Select } from '../ui/Select.tsx';

interface ChooseGeometryProps {
  readonly label: string;
  readonly geometry: Geometry;
  readonly onChoose: (geometry: Geometry) => void;
}

/** Whether the instrument that measured saw the gloss. */
export function ChooseGeometry({ label, geometry, onChoose }: ChooseGeometryProps) {
  return (
    <Field label={label} isQuiet width="11rem">
      <Select value={geometry} options={GEOMETRIES} onChange={onChoose} />
    </Field>
  );
}
