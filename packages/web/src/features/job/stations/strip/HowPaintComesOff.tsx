import {
  adviseBake,
  BAKE_C,
  BAKES,
  chooseStripping,
  isMetal,
  listMaterials,
  METHOD_FACTS,
  OVEN_QUESTIONS,
  type TreatedMaterial,
} from '@sardonyx/core';
import type { SpecimenPart } from '@sardonyx/core';
import { capitalise } from '../../../../shared/format.ts';
import { useOption } from '../../useOption.ts';
import { useJob } from '../../JobContext.tsx';
import { useJoined } from './useJoined.ts';

/** For the part in hand: the way its paint comes off, what else would do, what is refused and why; and whether it may be baked. */
export function HowPaintComesOff({ part }: { readonly part: SpecimenPart }) {
  const { specimen } = useJob();
  const optionOf = useOption();
  const { isJoined, isSoldered } = useJoined(part);
  const areas = specimen.areas.filter((area) => area.specimenPartId === part.id).map((area) => area.id);
  const layers = specimen.layers.filter((layer) => areas.includes(layer.areaId));
  const findings = specimen.findings.filter((finding) => finding.specimenPartId === part.id);
  const all: TreatedMaterial[] = [
    ...listMaterials(part, layers, findings),
    ...(isSoldered ? (['soft solder'] as const) : []),
  ];
  const isPainted = layers.some(
    (layer) => layer.stage === 'found' && layer.kind !== 'decal' && layer.kind !== 'plating',
  );
  return (
    <section aria-label={`Paint and heat: ${part.name}`} className="space-y-2">
      {isPainted && (
        <PaintOff
          name={part.name}
          // Filler, decals and an old bond come off with the paint.
          materials={all.filter((one, i) => i === 0 || one === 'soft solder')}
          school={optionOf(isMetal(part.material) ? 'S11' : 'S18')}
          isJoined={isJoined}
        />
      )}
      <Bakes name={part.name} materials={all} isJoined={isJoined} />
    </section>
  );
}

interface PaintOffProps {
  readonly name: string;
  readonly materials: readonly TreatedMaterial[];
  readonly school: string;
  readonly isJoined: boolean;
}

function PaintOff({ name, materials, school, isJoined }: PaintOffProps) {
  const { best, insteadOf, alternatives, refusals } = chooseStripping({ materials, school, isJoined });
  return (
    <div>
      <h3>
        {best ? `${name}: paint off with ${best.method}` : `${name}: nothing may take its paint off`}
        {insteadOf && `, not with ${insteadOf.method}`}
      </h3>
      <ul className="text-note">
        {best && (
          <li>
            <span aria-hidden>◐ </span>
            {capitalise(METHOD_FACTS[best.method].process)}: {best.verdict.reason}. {capitalise(best.verdict.limit)}.
          </li>
        )}
        {alternatives.length > 0 && (
          <li>
            <span aria-hidden>○ </span>Would do too: {alternatives.map((one) => one.method).join(', ')}.
          </li>
        )}
        {refusals.map(({ method, reason }) => (
          <li key={method}>
            <span aria-hidden>✕ </span>
            <strong>Not {method}:</strong> {reason}.
          </li>
        ))}
      </ul>
    </div>
  );
}

interface BakesProps {
  readonly name: string;
  readonly materials: readonly TreatedMaterial[];
  readonly isJoined: boolean;
}

function Bakes({ name, materials, isJoined }: BakesProps) {
  const answers = BAKES.map((bake) => ({ bake, ...adviseBake(materials, bake, isJoined) }));
  const allowed = answers.filter((answer) => answer.refusals.length === 0);
  return (
    <div>
      <h3>
        {allowed.length === 0
          ? `${name}: never in the oven`
          : `${name}: may be baked (${allowed.map((one) => `${one.bake}, metal at most ${one.mostC} °C`).join('; ')})`}
      </h3>
      <ul className="text-note">
        {answers
          .filter((answer) => answer.refusals.length > 0)
          .map(({ bake, refusals }) => (
            <li key={bake}>
              <span aria-hidden>✕ </span>
              <strong>
                {capitalise(bake)}, {BAKE_C[bake]} °C:
              </strong>{' '}
              {refusals.map(capitalise).join('. ')}.
            </li>
          ))}
        {allowed.length > 0 && (
          <li>Before the oven is switched on: {OVEN_QUESTIONS.join(' ')} Temperatures are planning estimates.</li>
        )}
      </ul>
    </div>
  );
}
