import { describeFade, type ColourCapture } from '@sardonyx/core';
import { Link } from 'react-router';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { useColourBench } from '../ColourContext.tsx';
import { formatLab } from '../../../shared/colour/formatColour.ts';
import { Swatch } from '../../../shared/colour/Swatch.tsx';

/** Everything that was captured for this job, part by part, with what light did to it. */
export function KeptColours() {
  const { colour, parts, view, nameOfPart } = useColourBench();
  const withColours = parts.filter((part) => colour.captures.some((one) => one.specimenPartId === part.id));
  if (withColours.length === 0) return null;
  return (
    <section aria-label="Kept colours" className="space-y-4 border-t border-strong-line pt-3">
      <h2>Kept for good</h2>
      {withColours.map((part) => {
        const own = colour.captures.filter((one) => one.specimenPartId === part.id);
        return (
          <div key={part.id} className="space-y-2">
            <h3>{nameOfPart(part.id)}</h3>
            <Fade captures={own} />
            <ul className="space-y-3">
              {own.map((capture) => (
                <li key={capture.id} className="flex flex-wrap items-center gap-4">
                  <Swatch
                    lab={capture.lab}
                    label={`${part.name}, ${capture.place}`}
                    className="h-12 w-20 border border-strong-line"
                  />
                  <div className="grow">
                    <p>
                      <strong>{capture.place}</strong>
                      {capture.note && `, ${capture.note}`}: <span className="figure">{formatLab(capture.lab)}</span>
                    </p>
                    <p className="text-note text-soft-ink">
                      {capture.method}, {capture.geometry}, {capture.who}, {formatMoment(capture.takenAt)}
                    </p>
                  </div>
                  <Link className="plain-button" to={`/jobs/${view.job.id}/colour/match?capture=${capture.id}`}>
                    Match it
                  </Link>
                </li>
              ))}
            </ul>
          </div>
        );
      })}
    </section>
  );
}

function Fade({ captures }: { readonly captures: readonly ColourCapture[] }) {
  const [sheltered, exposed] = (['sheltered', 'exposed'] as const).map((place) =>
    captures.findLast((one) => one.place === place),
  );
  if (!sheltered || !exposed)
    return (
      <p className="text-note text-soft-ink">
        {sheltered
          ? 'The exposed place is not captured yet.'
          : 'The sheltered place is not captured yet: it is the one to match.'}
      </p>
    );
  const { de, words } = describeFade(sheltered.lab, exposed.lab);
  return (
    <p>
      {words
        ? `The exposed place is ${words} (${de.toFixed(1)} dE00): it has faded. Match the sheltered one.`
        : `Exposed and sheltered look the same (${de.toFixed(1)} dE00): nothing has faded.`}
    </p>
  );
}
