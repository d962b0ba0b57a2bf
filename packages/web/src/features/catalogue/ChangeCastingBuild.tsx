import type { CastingView } from '@sardonyx/contract';
import { useState } from 'react';
import { useChangeBuildMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { asRequest } from './build/asRequest.ts';
import { BuildEditor } from './build/BuildEditor.tsx';
import { useBuildDraft } from './build/useBuildDraft.ts';

interface ChangeCastingBuildProps {
  readonly view: CastingView;
  readonly onDone: (news: string) => void;
}

/** Parts and joints of a casting that is kept, also when models of it are in work. */
export function ChangeCastingBuild({ view, onDone }: ChangeCastingBuildProps) {
  const { casting, parts, joints, specimens } = view;
  const tools = useBuildDraft({
    parts: parts.map(({ key, name, role, material, count, shape, sizes }) => ({
      ...{ key, name, role, material, count, shape, sizes },
    })),
    joints: joints.map(({ key, label, kind, partKeys, behind }) => ({ key, label, kind, partKeys, behind })),
  });
  const [save, { isLoading }] = useChangeBuildMutation();
  const [error, setError] = useState<AppError | null>(null);
  const gone = parts.filter(({ key }) => tools.draft.parts.every((part) => part.key !== key));
  const keep = async () => {
    setError(null);
    try {
      const body = { version: casting.version, ...asRequest(tools.draft) };
      const { keptOn } = await save({ id: casting.id, body }).unwrap();
      onDone(
        keptOn.length === 0
          ? 'Parts and joints are changed.'
          : `Changed. It stays on its model, because something is written down of it: ${keptOn.map(({ part, model }) => `${part} (${model})`).join(', ')}.`,
      );
    } catch (problem) {
      setError(readAppError(problem));
    }
  };
  return (
    <section aria-label="Parts and joints" className="space-y-4">
      <BuildEditor tools={tools} size={casting} kept={view} faults={error?.fields ?? {}} />
      {specimens.length > 0 && (
        <p role="note" className="border-l-4 border-ink pl-3">
          {specimens.length === 1 ? 'A model of it is' : `${specimens.length} models of it are`} here: open jobs follow,
          with their plans; what is logged stays, and signed-off records stand.
          {gone.length > 0 &&
            ` ${gone.map(({ name }) => name).join(', ')}: gone from models where nothing is written down of it, kept where something is.`}
        </p>
      )}
      {error && <ErrorNote error={error} />}
      <div className="flex flex-wrap gap-3">
        <button
          type="button"
          className="main-button"
          disabled={isLoading || !tools.takeBack}
          onClick={() => void keep()}
        >
          Keep these parts and joints
        </button>
        <button type="button" className="quiet-button" onClick={() => onDone('')}>
          Leave it as it was
        </button>
      </div>
    </section>
  );
}
