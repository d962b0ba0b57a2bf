import { GEOMETRIES, type Geometry } from '@sardonyx/core';

interface ChooseGeometryProps {
  readonly label: string;
  readonly geometry: Geometry;
  readonly onChoose: (geometry: Geometry) => void;
}

/** Whether the instrument that measured saw the gloss. */
export function ChooseGeometry({ label, geometry, onChoose }: ChooseGeometryProps) {
  return (
    <label>
      <span className="block text-note">{label}</span>
      <select
        style={{ width: '11rem' }}
        value={geometry}
        onChange={(event) => onChoose(event.target.value as Geometry)}
      >
        {GEOMETRIES.map((one) => (
          <option key={one}>{one}</option>
        ))}
      </select>
    </label>
  );
}
