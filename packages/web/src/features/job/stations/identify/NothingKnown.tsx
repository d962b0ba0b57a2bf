import { CONSTRUCTIONS } from '@sardonyx/core';
import { Link } from 'react-router';
import { useJob } from '../../JobContext.tsx';

/** Without an issue to compare with nothing is claimed: what it would need, and where that is written down. */
export function NothingKnown() {
  const { specimen } = useJob();
  const casting = specimen.casting?.casting;
  const construction = CONSTRUCTIONS.find(({ key }) => key === casting?.builtAs);
  return (
    <section aria-label="What it would need" className="space-y-3 border-l-4 border-ink pl-3">
      <p>
        {casting
          ? 'To be told which issue it is, the bench needs two or more issues of this casting with their years, and for each what it is known by: wheels, base text, colours. It can be restored all the same.'
          : 'The catalogue is empty: there is nothing that this model could be. It can be restored all the same, once its casting is entered.'}
      </p>
      <p>
        <Link className="plain-button" to={casting ? `/catalogue/${casting.id}` : '/catalogue/new?for=bench'}>
          {casting ? 'Write down what is known of its issues' : 'Enter its casting'}
        </Link>
      </p>
      {construction && (
        <p className="text-soft-ink">
          Its number may be {construction.numbers.join('; ')}. Papers and boxes speak of its date too: write them down
          below.
        </p>
      )}
    </section>
  );
}
