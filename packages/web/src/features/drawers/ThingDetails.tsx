import type { ThingView } from '@sardonyx/contract';
import { MOVES } from '@sardonyx/core';
import { useState } from 'react';
import { useGetBenchQuery } from '../../shared/api/api.ts';
import { useGetStockQuery, useGetThingLogQuery, useMoveStockMutation } from '../../shared/api/stockApi.ts';
import type { AppError } from '../../shared/api/appError.ts';
import { isSame } from '../../shared/api/keepNoNumber.ts';
import { changeRow } from '../../shared/edits/editRow.ts';
import { TakeOffList } from '../../shared/edits/TakeOffList.tsx';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { MoveForm } from '../../shared/stock/MoveForm.tsx';
import { MoveLog } from '../../shared/stock/MoveLog.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Switch } from '../../shared/ui/Switch.tsx';
import { sayAmount, sayMeasures, sayNotice, drawerOf, unitOf } from './sayThing.ts';
import { ThingPicture } from './ThingPicture.tsx';
import { readTyped, SizesFields, typeSizes, type Typed } from './SizesFields.tsx';

/** The thing in hand: how much there is and for whom, what happens to it, its log, and what it is. */
export function ThingDetails({ thing }: { readonly thing: ThingView }) {
  const dispatch = useAppDispatch();
  const { data: bench } = useGetBenchQuery();
  const { data: log } = useGetThingLogQuery(thing.id);
  const { data: stock } = useGetStockQuery();
  const numberOf = (jobId: string) => bench?.lanes.find(({ job }) => job.id === jobId)?.job.number ?? jobId;
  const { onHand, held, kind, free } = thing;
  return (
    <section aria-label={thing.name} className="space-y-4 border border-strong-line bg-sheet p-4">
      <header className="space-y-1">
        <h2>{thing.name}</h2>
        <p>
          <strong className="figure">{sayAmount(onHand, kind)}</strong> in {drawerOf(thing)}
          {held.length > 0 &&
            `; put by: ${held.map(({ jobId, reserved }) => `${sayAmount(reserved, kind)} for ${numberOf(jobId)}`).join(', ')}; ${sayAmount(free, kind)} free`}
          .
        </p>
        <p className="text-soft-ink">{sayMeasures(thing) || 'Nobody measured it yet.'}</p>
        {thing.isLocked && <p>One of few: kept back from every job.</p>}
        {thing.notices.map((notice) => (
          <p key={notice.kind}>
            <Sign of="warning" /> {sayNotice(notice, kind)}
          </p>
        ))}
      </header>
      <WriteDown key={thing.id} thing={thing} />
      <MoveLog log={log} unit={unitOf(kind)} />
      <Fold title="What it is and where it lies">
        <div className="grid gap-3 pt-2 min-[700px]:grid-cols-2">
          <Autosaved kind="stock-things" row={thing} field="name" label="Name" />
          <Autosaved kind="stock-things" row={thing} field="drawer" label="Drawer" />
          <Autosaved kind="stock-things" row={thing} field="reorderAt" label="Order more below" type="number" />
          <Autosaved kind="stock-things" row={thing} field="keepsDays" label="Keeps, days" type="number" />
          <Autosaved kind="stock-things" row={thing} field="note" label="Note" />
          <Field label="Comes from">
            <Select
              value={thing.supplierId ?? ''}
              options={[
                { value: '', label: 'nobody is known' },
                ...(stock?.suppliers ?? []).map(({ id, name }) => ({ value: id, label: name })),
              ]}
              onChange={(id) =>
                void dispatch(
                  changeRow({
                    kind: 'stock-things',
                    row: thing,
                    changes: { supplierId: id || null },
                    label: `${thing.name}: who sends it`,
                  }),
                )
              }
            />
          </Field>
          <Switch
            isOn={thing.isLocked}
            onChange={(isLocked) =>
              void dispatch(changeRow({ kind: 'stock-things', row: thing, changes: { isLocked }, label: thing.name }))
            }
          >
            One of few: kept back from every job
          </Switch>
        </div>
        <ThingPicture thing={thing} />
        <Sizes key={`${thing.id} ${thing.version}`} thing={thing} />
        {onHand === 0 && <TakeOffList kind="stock-things" row={thing} label={thing.name} />}
      </Fold>
    </section>
  );
}

function WriteDown({ thing }: { readonly thing: ThingView }) {
  const [send, { error, isLoading, reset }] = useMoveStockMutation();
  return (
    <MoveForm
      name={thing.name}
      unit={unitOf(thing.kind)}
      moves={MOVES}
      first={thing.onHand > 0 ? 'taken' : 'bought'}
      isSending={isLoading}
      error={error}
      onForget={reset}
      onSend={async (line) => (await send({ thingId: thing.id, ...line })).data !== undefined}
    />
  );
}

/** Saves all of them when one is left. */
function Sizes({ thing }: { readonly thing: ThingView }) {
  const dispatch = useAppDispatch();
  const [typed, setTyped] = useState<Typed>(() => typeSizes(thing.sizes, thing.traits));
  const [error, setError] = useState<AppError | null>(null);
  const save = async (next: Typed) => {
    const changes = readTyped(thing.kind, next);
    if (isSame(changes, readTyped(thing.kind, typeSizes(thing.sizes, thing.traits)))) return;
    const request = { row: thing, changes, label: `${thing.name}: its sizes`, isShownInPlace: true } as const;
    setError(await dispatch(changeRow({ kind: 'stock-things', ...request })).unwrap());
  };
  return (
    <div className="flex flex-wrap items-start gap-3 py-3">
      <SizesFields
        kind={thing.kind}
        typed={typed}
        errors={error?.fields}
        onType={(field, value) => setTyped((before) => ({ ...before, [field]: value }))}
        onSettle={(next) => void save(next)}
      />
      {error && <ErrorNote error={error} />}
    </div>
  );
}
