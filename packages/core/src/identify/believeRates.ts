import { type IdentifyCatalogue, type IdentifyHistory, type IdentifySettings, type Rates } from './catalogue.ts';
import { DEFAULT_HISTORIES } from './histories.ts';

interface Believed {
  readonly catalogue: IdentifyCatalogue;
  readonly settings: IdentifySettings;
}

/** Worked out once for each pair: what is encoded from it is kept by identity. */
const believedOf = new WeakMap<IdentifyCatalogue, WeakMap<IdentifySettings, Believed>>();

/** A catalogue and settings with the rates and spreads that the catalogue carries in place of the stated ones. */
export function believeRates(catalogue: IdentifyCatalogue, settings: IdentifySettings): Believed {
  if (!catalogue.rates && !catalogue.colourSpread) return { catalogue, settings };
  let bySettings = believedOf.get(catalogue);
  if (!bySettings) believedOf.set(catalogue, (bySettings = new WeakMap()));
  let believed = bySettings.get(settings);
  if (!believed) {
    const spread = { ...settings, colour: { ...settings.colour, ...catalogue.colourSpread } };
    believed = catalogue.rates ? scaleRates(catalogue, catalogue.rates, spread) : { catalogue, settings: spread };
    bySettings.set(settings, believed);
  }
  return believed;
}

/** A rate that nothing raises above this: there is always a chance that it is otherwise. */
const MOST = 0.95;

function scaleRates(catalogue: IdentifyCatalogue, rates: Rates, settings: IdentifySettings): Believed {
  const histories = catalogue.histories.length ? catalogue.histories : DEFAULT_HISTORIES;
  const believe = (right: number) => 1 - Math.min(MOST, (1 - right) * rates.misreading);
  const { sure, likely, unsure } = settings.readingRight;
  return {
    catalogue: { ...catalogue, histories: histories.map((history) => scaleHistory(history, rates.alteration)) },
    settings: {
      ...settings,
      readingRight: { sure: believe(sure), likely: believe(likely), unsure: believe(unsure) },
    },
  };
}

const scaleHistory = (history: IdentifyHistory, factor: number): IdentifyHistory => ({
  ...history,
  rates: Object.fromEntries(
    Object.entries(history.rates).map(([group, rate]) => [group, Math.min(Math.max(rate, MOST), rate * factor)]),
  ) as IdentifyHistory['rates'],
});
