import type { ThingView } from '@sardonyx/contract';
import { MOVES, type Move } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { useGetBenchQuery } from '../../shared/api/api.ts';
import { useMoveStockMutation } from '../../shared/api/stockApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { readNumber } from '../../shared/form/readNumber.ts';
import { Field } from '../../shared/ui/Field.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { MOVE_WORDS, unitOf } from './sayThing.ts';

const NOBODY = '';
const COSTS: ReadonlySet<Move> = new Set(['bought', 'from a donor']);
const OF_A_JOB: ReadonlySet<Move> = new Set(['reserved', 'released', 'taken', 'put back', 'wasted']);

/** One line more in a thing's log. */
export function MoveForm({ thing }: { readonly thing: ThingView }) {
  const [who] = useWho();
  const { data: bench } = useGetBenchQuery();
  const [send, { error, isLoading, reset }] = useMoveStockMutation();
  const [move, setMove] = useState<Move>(thing.onHand > 0 ? 'taken' : 'bought');
  const [fields, setFields] = useState({ amount: '', jobId: NOBODY, price: '', batch: '', note: '' });
  const jobs = (bench?.lanes ?? []).flatMap(({ job }) =>
    job.signedOffAt ? [] : [{ value: job.id, label: `${job.number} ${job.title}` }],
  );
  const known = error === undefined ? null : readAppError(error);
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const jobId = OF_A_JOB.has(move) && fields.jobId !== NOBODY ? fields.jobId : null;
    const price = COSTS.has(move) && fields.price.trim() !== '' ? readNumber(fields.price) : null;
    const line = { move, amount: readNumber(fields.amount), jobId, price, who: who.trim() };
    const { data } = await send({ thingId: thing.id, ...line, batch: fields.batch, note: fields.note });
    if (data) setFields({ ...fields, amount: '', price: '', note: '' });
  };
  const field = (name: 'amount' | 'price' | 'batch' | 'note', label: string, width: string) => (
    <Field label={label} isQuiet width={width} error={known?.fields?.[name]}>
      <input
        inputMode={name === 'amount' || name === 'price' ? 'decimal' : 'text'}
        value={fields[name]}
        onChange={(event) => setFields({ ...fields, [name]: event.target.value })}
      />
    </Field>
  );
  return (
    <form aria-label={`Write down of ${thing.name}`} className="space-y-3" onSubmit={(event) => void save(event)}>
      <div className="flex flex-wrap items-start gap-3">
        <Field label="What happens" isQuiet width="15rem">
          <Select
            value={move}
            options={MOVES.map((one) => ({ value: one, label: MOVE_WORDS[one] }))}
            onChange={(next) => {
              setMove(next);
              reset();
            }}
          />
        </Field>
        {field('amount', `How much, ${unitOf(thing.kind)}`, '8rem')}
        {OF_A_JOB.has(move) && (
          <Field label="For which job" isQuiet width="15rem" error={known?.fields?.jobId}>
            <Select
              value={fields.jobId}
              options={[{ value: NOBODY, label: 'for none' }, ...jobs]}
              onChange={(jobId) => setFields({ ...fields, jobId })}
            />
          </Field>
        )}
        {COSTS.has(move) && field('price', 'What all of it cost', '9rem')}
        {COSTS.has(move) && field('batch', 'Batch', '7rem')}
        {field('note', 'Note', '12rem')}
      </div>
      <button type="submit" className="main-button" disabled={isLoading || who.trim() === ''}>
        Write it down
      </button>
      {who.trim() === '' && <p className="text-note">Say at the top who stands at the bench.</p>}
      {known && <ErrorNote error={known} />}
    </form>
  );
}
