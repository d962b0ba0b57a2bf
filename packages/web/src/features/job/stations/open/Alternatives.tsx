import type { OpeningAlternative } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { formatMinutes } from '../../../../shared/format.ts';

const NAMES: Readonly<Record<OpeningAlternative['name'], string>> = {
  'this plan': 'This plan',
  'open nothing': 'Open nothing',
  'open everything': 'Open everything',
  'mask what can be masked': 'Mask what can be masked',
};

/** What the other ways of going about it would cost. */
export function Alternatives({ alternatives }: { readonly alternatives: readonly OpeningAlternative[] }) {
  return (
    <section aria-label="Alternatives">
      <h2 className="mb-1">What else could be done</h2>
      <table className="w-full text-left text-note">
        <thead>
          <tr className="text-soft-ink">
            {['', 'Joints', 'Hands', 'Damage', 'Masking', 'In all'].map((word) => (
              <th key={word} scope="col" className="py-1 pr-2 font-normal">
                {word}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {alternatives.map((one) => (
            <tr
              key={one.name}
              className={`border-t border-hairline align-top ${one.name === 'this plan' ? 'font-semibold' : ''}`}
            >
              <th scope="row" className="py-1 pr-2 font-[inherit]">
                {NAMES[one.name]}
                {one.keepOldPaint.length > 0 && (
                  <span className="block font-normal">
                    <Sign of="warning" />
                    old paint stays on: {one.keepOldPaint.join(', ').toLowerCase()}
                  </span>
                )}
              </th>
              <td className="py-1 pr-2">{one.jointCount}</td>
              <td className="py-1 pr-2">{formatMinutes(one.minutes)}</td>
              <td className="py-1 pr-2">{Math.round(one.expectedDamages * 100)} %</td>
              <td className="py-1 pr-2">{one.maskingMin > 0 ? `${Math.round(one.maskingMin)} min` : '–'}</td>
              <td className="py-1">{Math.round(one.price)} min</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="text-note text-soft-ink">
        Planning estimates. “Damage” adds up the chances of each step; “in all” counts one certain damage as 60 minutes,
        and paint that cannot come off as 120 for each part in its way.
      </p>
    </section>
  );
}
