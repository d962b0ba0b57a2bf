import type { UsualThingsTaken } from '@sardonyx/contract';
import { USUAL_LINE, USUAL_THINGS, type UsualThings } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { useGetShelfQuery, useGetWorkshopQuery, useTakeUsualThingsMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const sayTaken = (taken: UsualThingsTaken): string =>
  (
    [
      ['tools', 'tool'],
      ['vessels', 'vessel'],
      ['paints', 'paint'],
    ] as const
  )
    .map(([kind, one]) => `${taken[kind]} ${taken[kind] === 1 ? one : kind}`)
    .join(', ');

type Kind = keyof UsualThings;
const TITLES: Readonly<Record<Kind, string>> = { tools: 'Tools', vessels: 'Vessels', paints: 'Paints' };
const KINDS = Object.keys(TITLES) as Kind[];

/** An empty workshop and an empty shelf: what many have is ticked instead of typed. */
export function FirstEveningPage() {
  const { data: workshop } = useGetWorkshopQuery();
  const { data: shelf } = useGetShelfQuery();
  const [take, { data: taken, error, isLoading }] = useTakeUsualThingsMutation();
  const [ticked, setTicked] = useState<Readonly<Record<Kind, readonly string[]>>>({
    tools: [],
    vessels: [],
    paints: [],
  });
  const [who] = useWho();
  const [leftMl, setLeftMl] = useState('10');
  const there: Readonly<Record<Kind, readonly string[]>> = {
    tools: (workshop?.tools ?? []).map(({ name }) => name),
    vessels: (workshop?.vessels ?? []).map(({ name }) => name),
    paints: (shelf?.products ?? []).filter(({ line }) => line === USUAL_LINE).map(({ name }) => name),
  };
  const isThere = (kind: Kind, name: string) => there[kind].includes(name);
  const set = (kind: Kind, names: readonly string[]) => setTicked({ ...ticked, [kind]: names });
  const count = KINDS.reduce((sum, kind) => sum + ticked[kind].length, 0);
  const problem = error === undefined ? null : readAppError(error);
  const save = async () => {
    const body = { tools: [...ticked.tools], vessels: [...ticked.vessels], paints: [...ticked.paints] };
    const { data } = await take({ ...body, leftMl: Number(leftMl.replace(',', '.')), who: who.trim() });
    if (data) setTicked({ tools: [], vessels: [], paints: [] });
  };
  return (
    <div className="mx-auto max-w-5xl space-y-6 p-6">
      <div>
        <h1>What do you have?</h1>
        <p className="max-w-3xl text-soft-ink">
          Tick what stands on your bench; everything can be changed later. Paints stand for their label’s colour until
          you measure them, sizes of vessels for usual ones until you measure yours.
        </p>
      </div>
      <div className="grid gap-6 md:grid-cols-3">
        {KINDS.map((kind) => (
          <section key={kind} aria-label={TITLES[kind]}>
            <div className="flex items-baseline justify-between gap-2">
              <h2>{TITLES[kind]}</h2>
              <button
                type="button"
                className="quiet-button"
                onClick={() =>
                  set(
                    kind,
                    USUAL_THINGS[kind].map(({ name }) => name).filter((name) => !isThere(kind, name)),
                  )
                }
              >
                All<span className="sr-only"> {TITLES[kind].toLowerCase()}</span>
              </button>
            </div>
            <ul>
              {USUAL_THINGS[kind].map((thing) => (
                <li key={thing.name} className="flex items-center gap-2 border-t border-hairline py-1">
                  {'colourHex' in thing && (
                    <span
                      aria-hidden
                      className="size-7 shrink-0 border border-strong-line"
                      style={{ background: thing.colourHex }}
                    />
                  )}
                  <Checkbox
                    className="grow"
                    checked={isThere(kind, thing.name) || ticked[kind].includes(thing.name)}
                    disabled={isThere(kind, thing.name)}
                    onChange={(isTicked) =>
                      set(
                        kind,
                        isTicked ? [...ticked[kind], thing.name] : ticked[kind].filter((name) => name !== thing.name),
                      )
                    }
                  >
                    {thing.name}
                    {'lengthMm' in thing && (
                      <span className="block text-note text-soft-ink">
                        {thing.isRound ? `Ø ${thing.lengthMm}` : `${thing.lengthMm} × ${thing.widthMm}`} ×{' '}
                        {thing.depthMm} mm inside, {thing.material}
                      </span>
                    )}
                    {isThere(kind, thing.name) && <span className="text-note text-soft-ink"> · is written down</span>}
                  </Checkbox>
                </li>
              ))}
            </ul>
            {kind === 'paints' && (
              <Field label="About so much in each, ml" isQuiet width="9rem" error={problem?.fields?.leftMl}>
                <input inputMode="decimal" value={leftMl} onChange={(event) => setLeftMl(event.target.value)} />
              </Field>
            )}
          </section>
        ))}
      </div>
      {problem && !problem.fields?.leftMl && <ErrorNote error={problem} />}
      <div className="flex flex-wrap items-center gap-4">
        <button type="button" className="main-button" disabled={count === 0 || isLoading} onClick={() => void save()}>
          {count === 0 ? 'Write it down' : `Write ${count} down`}
        </button>
        {taken && (
          <span role="status">
            Written down: {sayTaken(taken)}.{' '}
            <Link className="underline underline-offset-4" to="/put-on-bench">
              Put a model on the bench
            </Link>{' '}
            or{' '}
            <Link className="underline underline-offset-4" to="/catalogue/new?for=bench">
              enter its casting first
            </Link>
          </span>
        )}
      </div>
    </div>
  );
}
