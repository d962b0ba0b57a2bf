import type { LogLine, Move, StockUnit } from '@sardonyx/core';
import { useState, type FormEvent } from 'react';
import { useGetBenchQuery } from '../api/api.ts';
import { readAppError } from '../api/appError.ts';
import { readNumber, readOptional } from '../form/readNumber.ts';
import { useTextFields } from '../form/useTextFields.tsx';
import { WriteItDown } from '../form/WriteItDown.tsx';
import { Field } from '../ui/Field.tsx';
import { Select } from '../ui/Select.tsx';
import { useWho } from '../ui/useWho.ts';
import { MOVE_WORDS } from './moveWords.ts';

const NOBODY = '';
const COSTS: ReadonlySet<Move> = new Set(['bought', 'made', 'from a donor']);
const OF_A_JOB: ReadonlySet<Move> = new Set(['reserved', 'released', 'taken', 'put back', 'wasted']);

/** What is written down by hand. */
export type TypedMove<M extends Move> = Pick<LogLine, 'amount' | 'jobId' | 'price' | 'batch' | 'who' | 'note'> & {
  readonly move: M;
};

interface MoveFormProps<M extends Move> {
  /** Whose log it is. */
  readonly name: string;
  readonly unit: StockUnit;
  readonly moves: readonly M[];
  readonly first: M;
  readonly isSending: boolean;
  /** As the sending returned it. */
  readonly error: Parameters<typeof readAppError>[0] | undefined;
  readonly onForget: () => void;
  /** True where it was written. */
  readonly onSend: (line: TypedMove<M>) => Promise<boolean>;
}

/** One line more in the log of a thing or a pot. */
export function MoveForm<M extends Move>(props: MoveFormProps<M>) {
  const { name, unit, moves, first, isSending, error, onForget, onSend } = props;
  const [who] = useWho();
  const { data: bench } = useGetBenchQuery();
  const [move, setMove] = useState<M>(first);
  const jobs = (bench?.lanes ?? []).flatMap(({ job }) =>
    job.signedOffAt ? [] : [{ value: job.id, label: `${job.number} ${job.title}` }],
  );
  const known = error === undefined ? null : readAppError(error);
  const [jobId, setJobId] = useState(NOBODY);
  const { fields, setFields, field } = useTextFields(
    { amount: '', price: '', batch: '', note: '' },
    { numbers: ['amount', 'price'], errors: known?.fields },
  );
  const save = async (event: FormEvent) => {
    event.preventDefault();
    const price = COSTS.has(move) ? readOptional(fields.price) : null;
    const of = OF_A_JOB.has(move) && jobId !== NOBODY ? jobId : null;
    const line = { move, amount: readNumber(fields.amount), jobId: of, price, who: who.trim() };
    if (await onSend({ ...line, batch: fields.batch, note: fields.note }))
      setFields({ ...fields, amount: '', price: '', note: '' });
  };
  return (
    <form aria-label={`Write down of ${name}`} className="space-y-3" onSubmit={(event) => void save(event)}>
      <div className="flex flex-wrap items-start gap-3">
        <Field label="What happens" isQuiet width="15rem">
          <Select
            value={move}
            options={moves.map((one) => ({ value: one, label: MOVE_WORDS[one] }))}
            onChange={(next) => {
              setMove(next);
              onForget();
            }}
          />
        </Field>
        {field('amount', `How much, ${unit}`, '8rem')}
        {OF_A_JOB.has(move) && (
          <Field label="For which job" isQuiet width="15rem" error={known?.fields?.jobId}>
            <Select value={jobId} options={[{ value: NOBODY, label: 'for none' }, ...jobs]} onChange={setJobId} />
          </Field>
        )}
        {COSTS.has(move) && field('price', 'What all of it cost', '9rem')}
        {COSTS.has(move) && field('batch', 'Batch', '7rem')}
        {field('note', 'Note', '12rem')}
      </div>
      <WriteItDown isSending={isSending} isMain error={known} />
    </form>
  );
}
