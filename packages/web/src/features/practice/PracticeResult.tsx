import {
  describeVerdict,
  findLookPath,
  isVisiblyAltered,
  scorePractice,
  type IdentifyCatalogue,
  type PracticeGuess,
  type PracticeRound,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';

interface PracticeResultProps {
  readonly catalogue: IdentifyCatalogue;
  readonly round: PracticeRound;
  readonly guess: PracticeGuess;
  readonly onAgain: () => void;
}

/** The truth, the points, and how the tool would have gone about it. */
export function PracticeResult({ catalogue, round, guess, onAgain }: PracticeResultProps) {
  const tool = useMemo(() => findLookPath(catalogue, round.readings), [catalogue, round]);
  const score = scorePractice(catalogue, round, guess, tool);
  const { specimen } = round;
  const labelOf = new Map(catalogue.features.map((feature) => [feature.id, feature.label.toLowerCase()]));
  const rows = [
    ['Issue', score.variant, 50],
    ['Date', score.date, 20],
    ['Wrong parts', score.altered, 20],
    ['Few looks', score.effort, 10],
  ] as const;
  return (
    <section aria-label="Result" className="space-y-4">
      <p role="status" className="text-act font-semibold">
        <span className="figure">{score.total}</span> of 100: it is {specimen.variant!.name}, made in{' '}
        {Math.floor(specimen.year)}, {specimen.history.label}.
      </p>
      <table className="w-full max-w-sm border-collapse">
        <tbody>
          {rows.map(([name, points, most]) => (
            <tr key={name} className="border-t border-hairline">
              <th scope="row" className="py-1 text-left font-normal">
                {name}
              </th>
              <td className="figure py-1 text-right">
                {points} of {most}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div>
        <h2>What was wrong on it</h2>
        <ul>
          {catalogue.features
            .filter((feature) => isVisiblyAltered(specimen.features.get(feature.id)!))
            .map((feature) => {
              const { originalId, shownId } = specimen.features.get(feature.id)!;
              const name = (id: string) => feature.states.find((state) => state.id === id)?.label.toLowerCase();
              const isFound = guess.alteredIds.includes(feature.id);
              return (
                <li key={feature.id} className="border-t border-hairline py-1">
                  <strong>{feature.label}</strong>: left the factory as {name(originalId)}, shows {name(shownId)}.{' '}
                  <Sign of={isFound ? 'done' : 'open'} />
                  {isFound ? 'found' : guess.lookedAt.includes(feature.id) ? 'overlooked' : 'not looked at'}
                </li>
              );
            })}
        </ul>
        {[...specimen.features.values()].every((feature) => !isVisiblyAltered(feature)) && (
          <p>Nothing that could be seen: everything shows what it left the factory with.</p>
        )}
      </div>
      <div>
        <h2>How the tool would have looked</h2>
        <p>
          {tool.featureIds.length} looks, effort <span className="figure">{tool.effort}</span> against your{' '}
          <span className="figure">{score.effortSpent}</span>:{' '}
          {tool.featureIds.map((id) => labelOf.get(id)).join(', then ') || 'none, it was settled from the start'}. It
          would have said: “{describeVerdict(tool.identification, catalogue)}”
        </p>
      </div>
      <button type="button" className="main-button" onClick={onAgain}>
        Another specimen
      </button>
    </section>
  );
}
