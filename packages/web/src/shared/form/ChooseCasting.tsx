import type { CatalogueEntry } from '@sardonyx/contract';
import { useMemo } from 'react';
import { Chooser, type ChooserOption } from '../ui/Chooser.tsx';
import type { ControlProps } from '../ui/controlProps.ts';

interface ChooseCastingProps extends ControlProps {
  /** Its id; null while nobody knows. */
  readonly value: string | null | undefined;
  readonly castings: readonly CatalogueEntry[];
  readonly onChange: (castingId: string | null) => void;
  readonly onLeave?: () => void;
}

const UNKNOWN: ChooserOption = { value: '', label: 'Not known yet' };

/** Which casting it is, by number, name, maker or years. */
export function ChooseCasting({ value, castings, onChange, ...rest }: ChooseCastingProps) {
  const options = useMemo(
    () => [
      UNKNOWN,
      ...castings.map(({ id, number, name, makerName, rangeName, fromYear, toYear }) => ({
        value: id,
        label: `${number} ${name}`,
        group: `${makerName}, ${rangeName}`,
        ...(fromYear ? { note: `${fromYear} to ${toYear}` } : {}),
      })),
    ],
    [castings],
  );
  return <Chooser {...rest} value={value ?? ''} options={options} onChange={(id) => onChange(id || null)} />;
}
