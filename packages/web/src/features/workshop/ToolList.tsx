import { TOOL_KINDS, TOOL_STATES, type Tool } from '@sardonyx/core';
import { useState } from 'react';
import { Sign, type SignName } from '../../shared/ui/Sign.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import type { AppError } from '../../shared/api/appError.ts';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const MARKS: Readonly<Record<Tool['state'], SignName>> = {
  ready: 'done',
  'needs cleaning': 'begun',
  worn: 'warning',
  incomplete: 'warning',
  lent: 'lent',
  'to be made': 'open',
};

/** Every tool with its state; what is not ready first. */
export function ToolList({ tools }: { readonly tools: readonly Tool[] }) {
  const missing = tools.filter((tool) => tool.state !== 'ready' || tool.holds !== '');
  return (
    <section aria-label="Tools" className="space-y-2">
      <h2>
        Tools: {tools.length - missing.length} of {tools.length} ready
      </h2>
      <ul>
        {[...missing, ...tools.filter((tool) => !missing.includes(tool))].map((tool) => (
          <OneTool key={tool.id} tool={tool} />
        ))}
      </ul>
      <AddTool />
    </section>
  );
}

function OneTool({ tool }: { readonly tool: Tool }) {
  const dispatch = useAppDispatch();
  const clean = () =>
    dispatch(
      changeRow({ kind: 'tools', row: tool, changes: { state: 'ready', holds: '' }, label: `${tool.name} cleaned` }),
    );
  return (
    <li className="border-t border-hairline py-2">
      <Fold
        title={
          <>
            <Sign of={MARKS[tool.state]} />
            <strong>{tool.name}</strong>: {tool.state}
            {tool.holds && `, holds ${tool.holds}`}
            {tool.note && <span className="text-soft-ink"> · {tool.note}</span>}
          </>
        }
      >
        <div className="grid gap-4 py-2 sm:grid-cols-3">
          <Autosaved kind="tools" row={tool} field="state" label="State" options={TOOL_STATES} />
          <Autosaved kind="tools" row={tool} field="note" label="Note" />
          {tool.kind === 'airbrush' && <Autosaved kind="tools" row={tool} field="holds" label="Colour in it" />}
        </div>
      </Fold>
      {(tool.holds !== '' || tool.state === 'needs cleaning') && (
        <button type="button" className="plain-button mt-1" onClick={() => void clean()}>
          It is clean now
        </button>
      )}
    </li>
  );
}

function AddTool() {
  const dispatch = useAppDispatch();
  const [draft, setDraft] = useState({ name: '', kind: 'other', state: 'ready', note: '' });
  const [error, setError] = useState<AppError | null>(null);
  const add = async () => {
    const problem = await dispatch(
      createRow({ kind: 'tools', body: draft, label: `tool ${draft.name}`, isShownInPlace: true }),
    ).unwrap();
    setError(problem);
    if (!problem) setDraft({ ...draft, name: '', note: '' });
  };
  return (
    <Fold title="Write a tool down">
      <div className="flex flex-wrap items-end gap-3 py-2">
        <label>
          <span className="block text-note">Name</span>
          <input
            style={{ width: '14rem' }}
            value={draft.name}
            onChange={(event) => setDraft({ ...draft, name: event.target.value })}
          />
        </label>
        <Field label="Kind" isQuiet width="10rem">
          <Select value={draft.kind} options={TOOL_KINDS} onChange={(value) => setDraft({ ...draft, kind: value })} />
        </Field>
        <button type="button" className="plain-button" onClick={() => void add()}>
          Hang it up
        </button>
        {error && <ErrorNote error={error} onClose={() => setError(null)} />}
      </div>
    </Fold>
  );
}
