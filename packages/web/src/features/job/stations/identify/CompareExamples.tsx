import { compareSpecimens, type ComparedPart, type SpecimenPart } from '@sardonyx/core';
import { useState } from 'react';
import { Sign, type SignName } from '../../../../shared/ui/Sign.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { useGetSpecimenQuery, useTakePartMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { Pending } from '../../../../shared/ui/Pending.tsx';
import { useJob } from '../../JobContext.tsx';

/** Another example of the same casting beside this one: the better part of each. */
export function CompareExamples() {
  const { specimen } = useJob();
  const [otherId, setOtherId] = useState('');
  const others = specimen.casting?.specimens.filter((other) => other.id !== specimen.specimen.id) ?? [];
  if (others.length === 0) return null;
  return (
    <section aria-label="Another example of this casting">
      <h2 className="mb-1">Another example of this casting</h2>
      <Field label="Compare part by part with" isQuiet>
        <Select
          value={otherId}
          placeholder="choose one"
          options={others.map((other) => ({
            value: other.id,
            label: `${other.name}${other.jobId ? '' : ' (in the drawer)'}`,
          }))}
          onChange={setOtherId}
        />
      </Field>
      {otherId && <Compared otherId={otherId} />}
    </section>
  );
}

const PICKS: Readonly<Record<ComparedPart['pick'], readonly [sign: SignName, word: string]>> = {
  first: ['left', 'this one'],
  second: ['right', 'the other'],
  even: ['even', 'even'],
  none: ['neither', 'neither'],
  unknown: ['unknown', 'not known'],
};

function Compared({ otherId }: { readonly otherId: string }) {
  const { specimen } = useJob();
  const { data: other, error } = useGetSpecimenQuery(otherId);
  if (!other) return <Pending what="the other example" error={error} />;
  const rows = compareSpecimens(specimen, other);
  const better = rows.filter((row) => row.pick === 'second').length;
  const unknown = rows.filter((row) => row.pick === 'unknown').length;
  return (
    <>
      <p className="mt-2 font-semibold">
        {better > 0
          ? `${better} of ${rows.length} parts are better on ${other.specimen.name}.`
          : unknown > 0
            ? `Nothing is known to be better on ${other.specimen.name}; ${unknown} of ${rows.length} parts were not described on both.`
            : `${other.specimen.name} has nothing better to give.`}
      </p>
      <table className="w-full border-collapse">
        <thead>
          <tr className="text-left text-note">
            <th className="py-1">Part</th>
            <th className="py-1">Better</th>
            <th className="py-1">Because</th>
            <th className="py-1">
              <span className="sr-only">Take it</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} className="border-t border-hairline">
              <th scope="row" className="py-1 text-left font-normal">
                {row.name}
              </th>
              <td className={`py-1 ${row.pick === 'second' ? 'font-semibold' : ''}`}>
                <Sign of={PICKS[row.pick][0]} />
                {PICKS[row.pick][1]}
              </td>
              <td className="py-1 text-soft-ink">{row.because}</td>
              <td className="py-1">
                <TakeIt part={other.parts.find((part) => part.key === row.key)} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </>
  );
}

/** The other's part comes here with all that is known of it; the one in its place goes there. */
function TakeIt({ part }: { readonly part: SpecimenPart | undefined }) {
  const { specimen, isClosed } = useJob();
  const [take, { isLoading, error }] = useTakePartMutation();
  if (!part || part.state === 'missing' || isClosed) return null;
  return (
    <>
      <button
        type="button"
        className="quiet-button"
        disabled={isLoading}
        onClick={() => void take({ partId: part.id, intoSpecimenId: specimen.specimen.id })}
      >
        Take it<span className="sr-only">: {part.name}</span>
      </button>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </>
  );
}
