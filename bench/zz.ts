import { DEFAULT_SETTINGS, identifySpecimen } from '@sardonyx/core';
import { calibrate } from '../packages/core/test/support/calibrate.ts';
import { createNominalWorld, createSimulatedCatalogue, createWrongWorld } from '../packages/core/test/support/simulatedCatalogue.ts';
const base = createSimulatedCatalogue(2026, { variants: 400 });
const R = DEFAULT_SETTINGS.readingRight as Record<string, number>;
for (const [r, p, k] of [[[.965,.78,.5],.5,1],[[.962,.77,.5],.5,1],[[.963,.775,.5],.5,1.05],[[.96,.76,.48],.49,1],[[.965,.78,.5],.49,1.05]] as const) {
  [R.sure, R.likely, R.unsure] = r;
  const believed = { ...base, histories: base.histories.map((h) => ({ ...h, prior: h.key === 'untouched' ? p : (h.prior * (1 - p)) / 0.5, rates: Object.fromEntries(Object.entries(h.rates).map(([g, x]) => [g, Math.min(.95, x * k)])) as typeof h.rates })) };
  const out = [];
  for (const seed of [1, 2, 3]) {
    const a = calibrate(10000, seed, believed, createNominalWorld(believed));
    const b = calibrate(10000, seed, believed, createWrongWorld(believed));
    out.push([a.ece, a.eceUntouched, a.coverage90, b.ece, b.eceUntouched, b.coverage90].map((x) => x.toFixed(4)).join(' '));
  }
  console.log(r, p, k, '\n  ' + out.join('\n  '));
}
