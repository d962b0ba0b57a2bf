import type { MixView } from '@sardonyx/contract';
import { nameOfArea } from '@sardonyx/core';
import { useState } from 'react';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { useKeepMixMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { useColourBench } from '../ColourContext.tsx';

/** The good end of a mixing: a pot with its recipe, planned on the part. */
export function KeepMixForm({ mix, isGood }: { readonly mix: MixView; readonly isGood: boolean }) {
  const { view, nameOfPart } = useColourBench();
  const [who] = useWho();
  const [keep, { error, isLoading }] = useKeepMixMutation();
  const areas = view.specimens
    .flatMap((specimen) => specimen.areas)
    .map((area) => ({ ...area, partName: nameOfPart(area.specimenPartId) }));
  const own = areas.find((area) => area.specimenPartId === mix.specimenPartId && area.kind === 'outside');
  const [name, setName] = useState(`${view.job.number} ${mix.name}`.slice(0, 60));
  const [place, setPlace] = useState('Shelf 2, jars');
  const [areaId, setAreaId] = useState(own?.id ?? '');
  const save = () => void keep({ mixId: mix.id, body: { name, place, areaId: areaId || null, who } });
  return (
    <section aria-label="Keep it" className="space-y-3 border-t border-hairline pt-3">
      <h3>Keep it</h3>
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block text-note">Name of the pot</span>
          <input
            style={{ width: '16rem' }}
            value={name}
            maxLength={60}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <label>
          <span className="block text-note">Where it stands</span>
          <input
            style={{ width: '11rem' }}
            value={place}
            maxLength={80}
            onChange={(event) => setPlace(event.target.value)}
          />
        </label>
        <Field label="Planned for" isQuiet width="14rem">
          <Select
            value={areaId}
            options={[
              { value: '', label: 'nothing yet' },
              ...areas.map((area) => ({ value: area.id, label: `${area.partName}, ${nameOfArea(area)}` })),
            ]}
            onChange={setAreaId}
          />
        </Field>
      </div>
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className={isGood ? 'main-button min-h-16!' : 'plain-button'}
          disabled={isLoading || name.trim() === ''}
          onClick={save}
        >
          Keep it as a pot
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}
