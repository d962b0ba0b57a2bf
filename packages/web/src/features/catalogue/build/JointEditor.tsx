import { addJoint, changeJoint, JOINT_KINDS, removeJoint, type Build, type BuildDraft } from '@sardonyx/core';
import { useEffect, useRef, useState } from 'react';
import { formatMinutes } from '../../../shared/format.ts';
import { Checkbox } from '../../../shared/ui/Checkbox.tsx';
import { Field } from '../../../shared/ui/Field.tsx';
import { PlusIcon } from '../../../shared/ui/icons.ts';
import { Select } from '../../../shared/ui/Select.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';

interface JointEditorProps {
  readonly draft: BuildDraft;
  /** The same with its ways, and what lies behind what. */
  readonly build: Build;
  readonly faults: Readonly<Record<string, string>>;
  /** Key of the joint that is being changed. */
  readonly open: string | null;
  readonly onOpen: (key: string | null) => void;
  readonly onChange: (next: BuildDraft) => void;
}

/** Every joint: what it holds together, how it is opened, and what must be open before. */
export function JointEditor({ draft, build, faults, open, onOpen, onChange }: JointEditorProps) {
  const list = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // Chosen on the map, it may be out of sight here.
    if (open) list.current?.querySelector('[data-open="true"]')?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  const add = () => {
    const first = draft.parts.slice(0, 2).map(({ key }) => key);
    const next = addJoint(draft, { label: `joint ${draft.joints.length + 1}`, kind: 'screw', partKeys: first });
    onChange(next);
    onOpen(next.joints.at(-1)!.key);
  };
  return (
    <section aria-label="Joints" className="space-y-1">
      <h2>Joints</h2>
      <ol ref={list}>
        {build.joints.map((joint, i) => (
          <li key={joint.key} data-open={open === joint.key} className="border-t border-hairline py-2">
            <JointLine
              {...{ joint, build }}
              number={i + 1}
              isOpen={open === joint.key}
              onOpen={() => onOpen(open === joint.key ? null : joint.key)}
            />
            {Object.entries(faults)
              .filter(([path]) => path.startsWith(`joints.${i}.`))
              .map(([path, message]) => (
                <p key={path} role="alert" className="font-semibold">
                  <Sign of="warning" />
                  {message}
                </p>
              ))}
            {open === joint.key && <JointForm key={joint.key} {...{ joint, draft, build, onChange }} />}
          </li>
        ))}
      </ol>
      {draft.parts.length > 1 && (
        <button type="button" className="plain-button" onClick={add}>
          <PlusIcon aria-hidden size={18} /> Add a joint
        </button>
      )}
    </section>
  );
}

type BuiltJoint = Build['joints'][number];

const nameOf = ({ parts }: Pick<Build, 'parts'>, key: string) =>
  parts.find((part) => part.key === key)?.name.toLowerCase() ?? '';
const labelOf = ({ joints }: Build, key: string) => joints.find((joint) => joint.key === key)?.label ?? '';

interface JointLineProps {
  readonly joint: BuiltJoint;
  readonly build: Build;
  readonly number: number;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}

function JointLine({ joint, build, number, isOpen, onOpen }: JointLineProps) {
  const [way] = joint.ways;
  const behind = way!.behindJoints;
  return (
    <div className="flex items-baseline gap-3">
      <span className="figure w-6 font-bold">{number}</span>
      <span className="grow">
        <strong>{joint.label}</strong> ({joint.kind}): {joint.partKeys.map((key) => nameOf(build, key)).join(', ')}
        <span className="block text-note text-soft-ink">
          {way!.label}, {formatMinutes(way!.minutes)}, {Math.round(way!.risk * 100)} % risk (planning estimates).{' '}
          {behind.length > 0
            ? `Behind ${behind.map((key) => labelOf(build, key)).join(' and ')}${joint.behind === null ? '' : ', as written down'}.`
            : 'Reached from outside.'}
        </span>
      </span>
      <button type="button" className="quiet-button" aria-expanded={isOpen} onClick={onOpen}>
        {isOpen ? 'Fold' : 'Change'}
        <span className="sr-only"> {joint.label}</span>
      </button>
    </div>
  );
}

interface JointFormProps {
  readonly joint: BuiltJoint;
  readonly draft: BuildDraft;
  readonly build: Build;
  readonly onChange: (next: BuildDraft) => void;
}

function JointForm({ joint, draft, build, onChange }: JointFormProps) {
  const [label, setLabel] = useState(joint.label);
  const set = (changes: Parameters<typeof changeJoint>[2]) => onChange(changeJoint(draft, joint.key, changes));
  const behind = joint.ways[0]!.behindJoints;
  const others = build.joints.filter(({ key }) => key !== joint.key);
  return (
    <div className="space-y-3 py-2 pl-9">
      <div className="grid gap-3 sm:grid-cols-2">
        <Field label="Called" error={label.trim() === '' ? 'Name the joint.' : undefined}>
          <input
            value={label}
            maxLength={80}
            onChange={(event) => setLabel(event.target.value)}
            onBlur={() => label.trim() !== '' && label !== joint.label && set({ label: label.trim() })}
          />
        </Field>
        <Field label="Kind">
          <Select value={joint.kind} options={JOINT_KINDS} onChange={(kind) => set({ kind })} />
        </Field>
      </div>
      <fieldset>
        <legend className="font-semibold">It holds together</legend>
        <div className="flex flex-wrap gap-x-5">
          {draft.parts.map(({ key, name }) => (
            <Checkbox
              key={key}
              checked={joint.partKeys.includes(key)}
              onChange={(isHeld) =>
                set({ partKeys: isHeld ? [...joint.partKeys, key] : joint.partKeys.filter((one) => one !== key) })
              }
            >
              {name}
            </Checkbox>
          ))}
        </div>
        {joint.partKeys.length < 2 && <p className="font-semibold">A joint holds at least two parts.</p>}
      </fieldset>
      {others.length > 0 && (
        <fieldset>
          <legend className="font-semibold">
            Must be open before it{' '}
            <span className="font-normal text-soft-ink">
              ({joint.behind === null ? 'worked out from what it holds' : 'as written down'})
            </span>
          </legend>
          <div className="flex flex-wrap gap-x-5">
            {others.map(({ key, label: other }) => (
              <Checkbox
                key={key}
                checked={behind.includes(key)}
                onChange={(isBefore) =>
                  set({ behind: isBefore ? [...behind, key] : behind.filter((one) => one !== key) })
                }
              >
                {other}
              </Checkbox>
            ))}
          </div>
          {joint.behind !== null && (
            <button type="button" className="quiet-button" onClick={() => set({ behind: null })}>
              Work it out again
            </button>
          )}
        </fieldset>
      )}
      <button type="button" className="quiet-button" onClick={() => onChange(removeJoint(draft, joint.key))}>
        Remove the joint
      </button>
    </div>
  );
}
