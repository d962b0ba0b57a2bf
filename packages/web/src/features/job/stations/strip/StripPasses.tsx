import {
  checkVessel,
  expectPasses,
  PASS_RESULTS,
  asStripMethod,
  STRIP_METHOD_FACTS,
  topUpBath,
  type PassResult,
  type StripMethod,
  type StripPass,
  type Task,
  type VesselCheck,
} from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { Field } from '../../../../shared/ui/Field.tsx';
import { Select } from '../../../../shared/ui/Select.tsx';
import { changeRow } from '../../../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../../../shared/store.ts';
import { strikeBell, useTimers } from '../../../clocks/index.ts';
import { useBeginPassMutation, useEndPassMutation, useGetWorkshopQuery } from '../../../../shared/api/api.ts';
import { readAppError, type AppError } from '../../../../shared/api/appError.ts';
import { formatClock } from '../../../../shared/format.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { LiveReading } from '../../../workshop/index.ts';
import { useJob } from '../../JobContext.tsx';

/** Passes of one step: how many to expect, the one under way with its clock, and what came of each. */
export function StripPasses({ task }: { readonly task: Task }) {
  const { view, specimen } = useJob();
  const method = asStripMethod(task.method);
  const part = specimen.parts.find((one) => one.key === task.partKeys[0]);
  if (!method || !part) return null;
  const passes = view.passes.filter((pass) => pass.taskId === task.id);
  const running = passes.find((pass) => pass.endedAt === null);
  const layers = countLayers(specimen, part.id);
  const isBare = passes.at(-1)?.result === 'bare';
  const before = view.strippedBefore.filter((one) => one.method === method);
  const { expected, most, origin } = expectPasses(layers, {
    done: passes.filter((pass) => pass.endedAt).length,
    before,
  });
  return (
    <section aria-label="Passes" className="space-y-2 border-l-4 border-ink pl-3">
      <p className="font-semibold" role="status">
        {isBare
          ? `Bare after ${passes.length} ${passes.length === 1 ? 'pass' : 'passes'}.`
          : `${passes.length ? 'Still to come' : 'Expect'} about ${Math.max(1, Math.round(expected))} ${Math.round(expected) > 1 ? 'passes' : 'pass'}, hardly more than ${most} (${layers} ${layers === 1 ? 'layer' : 'layers'}; ${origin}).`}
      </p>
      {passes.length > 0 && (
        <ol className="text-note">
          {passes.map((pass, i) => (
            <li key={pass.id}>
              Pass {i + 1}, {pass.who}: {pass.result ?? 'under way'}
            </li>
          ))}
        </ol>
      )}
      {running ? (
        <RunningPass pass={running} />
      ) : (
        !isBare && <NextPass key={passes.length} task={task} method={method} partId={part.id} layers={layers} />
      )}
    </section>
  );
}

/** Paint as found in the place that has most of it. */
function countLayers(specimen: ReturnType<typeof useJob>['specimen'], partId: string): number {
  const areas = specimen.areas.filter((area) => area.specimenPartId === partId);
  const counts = areas.map(
    (area) =>
      specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === 'found' && layer.kind !== 'decal')
        .length,
  );
  return Math.max(1, ...counts);
}

function RunningPass({ pass }: { readonly pass: StripPass }) {
  const { timers, nowMs } = useTimers();
  const [end, { error }] = useEndPassMutation();
  const timer = timers.find((one) => one.id === pass.timerId);
  const left = timer ? (Date.parse(timer.endsAt) - nowMs) / 1000 : 0;
  return (
    <div className="space-y-2">
      <p className="text-lead">
        {left > 0 ? (
          <>
            Look at it again in <strong className="figure">{formatClock(left)}</strong>
          </>
        ) : (
          'Look at it now: its time is up.'
        )}
      </p>
      {pass.method === 'caustic' && <LiveReading kind="bath thermometer" />}
      <div className="flex flex-wrap gap-3">
        {PASS_RESULTS.map((result: PassResult) => (
          <button key={result} type="button" className="plain-button" onClick={() => void end({ id: pass.id, result })}>
            Out: {result}
          </button>
        ))}
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </div>
  );
}

interface NextPassProps {
  readonly task: Task;
  readonly method: StripMethod;
  readonly partId: string;
  readonly layers: number;
}

const SIZES = [
  ['lengthMm', 'long'],
  ['widthMm', 'wide'],
  ['heightMm', 'high'],
] as const;

/** Zinc alloy, g per ml; a casting fills about so much of its box (planning estimates). */
const BOX_SHARE = 0.12;

function NextPass({ task, method, partId, layers }: NextPassProps) {
  const { specimen } = useJob();
  const { data: workshop } = useGetWorkshopQuery();
  const [who] = useWho();
  const [minutes, setMinutes] = useState(String(task.watchedMin || 20));
  const [error, setError] = useState<AppError | null>(null);
  const [begin, { isLoading }] = useBeginPassMutation();
  const drawn = specimen.casting?.casting;
  const [size, setSize] = useState({
    lengthMm: String(Math.round(drawn?.lengthMm ?? 80)),
    widthMm: '35',
    heightMm: '30',
  });
  const dispatch = useAppDispatch();
  const { isImmersed, bath: kind } = STRIP_METHOD_FACTS[method];
  const baths = (workshop?.baths ?? []).filter((bath) => bath.kind === kind);
  const [bathId, setBathId] = useState<string | null>(null);
  const bath = baths.find((one) => one.id === bathId) ?? baths[0];
  const box = { lengthMm: Number(size.lengthMm), widthMm: Number(size.widthMm), heightMm: Number(size.heightMm) };
  const own = { ...box, volumeMl: (box.lengthMm * box.widthMm * box.heightMm * BOX_SHARE) / 1000 };
  const vessel = workshop?.vessels.find((one) => one.id === bath?.vesselId);
  const beside = (workshop?.soaking ?? []).filter((pass) => pass.bathId === bath?.id);
  const isSized = Object.values(own).every((value) => value > 0);
  const check =
    bath && vessel && isSized
      ? checkVessel(vessel, [...beside.flatMap((pass) => (pass.size ? [pass.size] : [])), own], bath.litres * 1000)
      : null;
  const topUp = async (litres: number) =>
    setError(
      await dispatch(
        changeRow({
          kind: 'baths',
          row: bath!,
          changes: topUpBath(bath!, Math.ceil(litres * 100) / 100, 'the same'),
          label: `${bath!.kind} bath topped up`,
          isShownInPlace: true,
        }),
      ).unwrap(),
    );
  const start = async () => {
    setError(null);
    // A soft stroke tries the volume when the clock is armed.
    strikeBell(0.15);
    const body = { taskId: task.id, specimenPartId: partId, method, layers, minutes: Number(minutes), who };
    try {
      await begin({ ...body, bathId: bath?.id ?? null, size: bath ? own : null }).unwrap();
    } catch (problem) {
      setError(readAppError(problem));
    }
  };
  return (
    <div className="space-y-2">
      {isImmersed && baths.length === 0 && <p>No such bath stands: make one up in Workshop, or go without.</p>}
      {bath && vessel && (
        <>
          <Field label="Bath" isQuiet>
            <Select
              value={bath.id}
              options={baths.map((one) => ({
                value: one.id,
                label: `${workshop?.vessels.find((other) => other.id === one.vesselId)?.name}, ${one.litres} l`,
              }))}
              onChange={setBathId}
            />
          </Field>
          <div className="flex flex-wrap gap-3">
            {SIZES.map(([field, word]) => (
              <label key={field}>
                <span className="block text-note">{word}, mm</span>
                <input
                  style={{ width: '5.5rem' }}
                  inputMode="decimal"
                  value={size[field]}
                  onChange={(event) => setSize({ ...size, [field]: event.target.value })}
                />
              </label>
            ))}
          </div>
          <p role="status">
            {beside.length > 0 &&
              `Beside it: ${beside.map((pass) => `${pass.jobNumber} ${pass.partName.toLowerCase()}`).join(', ')}. `}
            {check && <Sign of={check.problems.length === 0 ? 'done' : 'warning'} />}
            {check &&
              (check.problems.length === 0
                ? `Covered: the liquor stands ${Math.round(check.levelMm)} mm high.`
                : `${check.problems.join(' ')}${describeWhatWouldDo(check, bath.litres)}`)}
          </p>
          {check && !check.isCovered && check.pourMl !== null && check.leastMm === null && (
            <button type="button" className="plain-button" onClick={() => void topUp(check.pourMl! / 1000)}>
              Topped up to {formatLitres(check.pourMl / 1000)} with the same
            </button>
          )}
          {check?.leastMm && (
            <Link className="underline underline-offset-4" to="/workshop">
              Vessels and baths in Workshop
            </Link>
          )}
          {method === 'caustic' && <LiveReading kind="bath thermometer" />}
        </>
      )}
      <div className="flex flex-wrap items-end gap-3">
        <label>
          <span className="block text-note">Look again after, min</span>
          <input
            style={{ width: '6rem' }}
            inputMode="decimal"
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
        </label>
        <button type="button" className="main-button" disabled={isLoading} onClick={() => void start()}>
          {bath ? 'In it goes: start its clock' : 'On it goes: start its clock'}
        </button>
      </div>
      {error && <ErrorNote error={error} onClose={() => setError(null)} />}
    </div>
  );
}

/** How much more, or how large a vessel. */
function describeWhatWouldDo({ pourMl, leastMm, isCovered }: VesselCheck, litres: number): string {
  if (leastMm)
    return ` A vessel of at least ${leastMm.lengthMm} × ${leastMm.widthMm} mm inside and ${leastMm.depthMm} mm deep would do.`;
  if (isCovered || pourMl === null) return '';
  return ` ${formatLitres(pourMl / 1000 - litres)} more would do.`;
}

/** Upwards: a little more covers, a little less does not. */
const formatLitres = (litres: number) => `${(Math.ceil(litres * 100) / 100).toFixed(2)} l`;
