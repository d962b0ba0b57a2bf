import { useGetHouseQuery } from '../../shared/api/api.ts';
import { Autosaved } from '../../shared/form/Autosaved.tsx';
import { HouseSchools } from './HouseSchools.tsx';
import { LearnedRates } from './LearnedRates.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';

/** What holds for every job: how much may be risked, and what usually happens to models. */
export function HousePage() {
  const { data, error } = useGetHouseQuery();
  if (!data) return <Pending what="the house style" error={error} />;
  const { house, histories, choices } = data;
  const total = histories.reduce((sum, history) => sum + history.prior, 0);
  return (
    <div className="mx-auto max-w-4xl space-y-8 p-6">
      <section className="space-y-3">
        <h1>
          Stop before you strip above {house.lossThreshold} {house.lossThreshold === 1 ? 'point' : 'points'} of rarity
        </h1>
        <p>
          Before the first step that cannot be undone, the bench works out what it is expected to cost: rarity (0 to 10)
          times the chance that the model is that issue in its original coat. Above this the step is held back until
          somebody says why it goes on.
        </p>
        <div className="max-w-xs">
          <Autosaved
            kind="house-style"
            row={house}
            field="lossThreshold"
            label="Points allowed (planning estimate)"
            type="number"
          />
        </div>
      </section>
      <section className="space-y-3 border-t border-strong-line pt-5">
        <h2>Where the bench stands</h2>
        <p className="text-soft-ink">Bench hours are hours of this time zone, summer time included.</p>
        <div className="max-w-xs">
          <Autosaved kind="house-style" row={house} field="zone" label="Time zone, such as Europe/Lisbon" />
        </div>
      </section>
      <HouseSchools choices={choices} />
      <LearnedRates view={data} />
      <section className="space-y-3 border-t border-strong-line pt-5">
        <h2>How far a colour may be from its like</h2>
        <p className="text-soft-ink">
          A captured colour is held against what was measured of each state; how much two models of one issue may differ
          decides what that says. Planning estimates, in dE units of Lab.
        </p>
        <div className="grid max-w-xl gap-4 sm:grid-cols-2">
          <Autosaved
            kind="house-style"
            row={house}
            field="colourBatchSd"
            label="One batch of paint to the next"
            type="number"
          />
          <Autosaved
            kind="house-style"
            row={house}
            field="colourFadingSd"
            label="Fading of an open face"
            type="number"
          />
        </div>
      </section>
      <section className="space-y-3 border-t border-strong-line pt-5">
        <h2>What has usually happened to a model</h2>
        <p className="text-soft-ink">
          Shares before anything was looked at; planning estimates. They need not add up: only their proportions count.
        </p>
        {histories.map((history) => (
          <div
            key={history.id}
            className="grid items-end gap-4 border-t border-hairline py-2 sm:grid-cols-[10rem_10rem_1fr]"
          >
            <Autosaved kind="histories" row={history} field="label" label="History" />
            <Autosaved kind="histories" row={history} field="prior" label="Share" type="number" />
            <p className="text-note text-soft-ink">
              Counts as {Math.round((history.prior / total) * 100)} % of all models.{' '}
              {Object.entries(history.rates)
                .filter(([, rate]) => rate > 0)
                .sort(([, a], [, b]) => b - a)
                .map(([group, rate]) => `${group} altered ${Math.round(rate * 100)} %`)
                .join(', ') || 'Nothing is altered.'}
            </p>
          </div>
        ))}
      </section>
    </div>
  );
}
