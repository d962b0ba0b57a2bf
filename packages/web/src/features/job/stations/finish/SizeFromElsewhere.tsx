import { takeOverArea, type Area, type AreaSize } from '@sardonyx/core';
import { sayCm2 } from './sayCm2.ts';
import { useGetSizesElsewhereQuery } from '../../../../shared/api/api.ts';

interface SizeFromElsewhereProps {
  readonly area: Area;
  readonly onTake: (size: AreaSize) => void;
}

/** What the same area took on other models of this casting. */
export function SizeFromElsewhere({ area, onTake }: SizeFromElsewhereProps) {
  const { data = [] } = useGetSizesElsewhereQuery(area.id);
  return data.map(({ model, size }) => (
    <button key={model} type="button" className="plain-button" onClick={() => onTake(takeOverArea(size))}>
      As measured on {model}: {sayCm2(size.value)} cm²
    </button>
  ));
}
