import { formatPercent, type Identification, type IdentifyCatalogue, type PartRole } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { ModelDrawing } from '../../../../shared/drawing/ModelDrawing.tsx';
import { useJob } from '../../JobContext.tsx';

/** From here on a part counts as altered, or as doubtful. */
const ALTERED = 0.5;
const DOUBTFUL = 0.2;

interface OriginalityProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

interface RoleDoubt {
  readonly role: PartRole;
  readonly worst: number;
  readonly labels: readonly string[];
}

/** How far each part is still as it left the factory, hatched on the model; the list beside it says the same in words. */
export function Originality({ identification, catalogue }: OriginalityProps) {
  const { specimen } = useJob();
  const { casting } = specimen;
  if (!casting || identification.evidence.length === 0) return null;
  const roleOf = new Map(casting.features.map((feature) => [feature.id, feature.partRole]));
  const doubts = listDoubts(identification, catalogue, roleOf);
  const view = casting.casting.drawing.views[0]!;
  const partRole = new Map(specimen.parts.map((part) => [part.key, part.role]));
  const doubtOf = (partKey: string) => doubts.find((doubt) => doubt.role === partRole.get(partKey))?.worst ?? 0;
  return (
    <section aria-label="Originality">
      <h2 className="mb-1">
        Still as it left the factory:{' '}
        <span className="figure">{formatPercent(identification.untouchedProbability)}</span>
      </h2>
      <div className="grid gap-4 sm:grid-cols-2">
        <ModelDrawing
          view={view}
          paint={{}}
          parts={specimen.parts}
          label="Altered parts hatched on the model"
          className="h-40 w-full border border-hairline bg-paper"
        >
          <defs>
            <pattern id="altered" width="2" height="2" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="2" height="2" fill="var(--sheet)" />
              <rect width="1" height="2" fill="var(--ink)" />
            </pattern>
            <pattern id="doubtful" width="2.4" height="2.4" patternUnits="userSpaceOnUse">
              <rect width="2.4" height="2.4" fill="var(--sheet)" />
              <circle cx="1.2" cy="1.2" r="0.5" fill="var(--ink)" />
            </pattern>
          </defs>
          {view.shapes
            .filter((shape) => !shape.hidden && shape.surface !== 'shade' && shape.surface !== 'line')
            .map((shape, i) => {
              const doubt = doubtOf(shape.partKey);
              if (doubt < DOUBTFUL) return null;
              const fill = doubt >= ALTERED ? 'url(#altered)' : 'url(#doubtful)';
              return <path key={i} d={shape.d} fill={fill} fillOpacity={0.75} stroke="var(--ink)" strokeWidth={0.25} />;
            })}
        </ModelDrawing>
        <ul>
          {doubts.map(({ role, worst, labels }) => (
            <li key={role} className="border-t border-hairline py-1">
              <span className="font-semibold">
                <Sign of={worst >= ALTERED ? 'altered' : worst >= DOUBTFUL ? 'doubtful' : 'original'} />
                {role}
              </span>
              : {worst >= ALTERED ? 'altered' : worst >= DOUBTFUL ? 'doubtful' : 'original'}{' '}
              <span className="text-soft-ink">
                ({labels.join(', ')}: altered {formatPercent(worst)})
              </span>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

/** By role of the part the feature that is most probably altered, among those looked at. */
function listDoubts(
  { evidence, alteredChances }: Identification,
  catalogue: IdentifyCatalogue,
  roleOf: ReadonlyMap<string, PartRole>,
): RoleDoubt[] {
  const doubts = new Map<PartRole, RoleDoubt>();
  for (const { featureId } of evidence) {
    const role = roleOf.get(featureId);
    const label = catalogue.features.find((feature) => feature.id === featureId)?.label.toLowerCase();
    if (!role || !label) continue;
    const chance = alteredChances[featureId] ?? 0;
    const known = doubts.get(role);
    if (!known || chance > known.worst) doubts.set(role, { role, worst: chance, labels: [label] });
  }
  return [...doubts.values()].sort((a, b) => b.worst - a.worst);
}
