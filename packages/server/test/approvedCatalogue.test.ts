import { OWN_LORRY } from './support/ownLorry.ts';
import { useActs } from './support/useActs.ts';

describe('the catalogue and the house, as they were read and approved', function () {
  this.timeout(120_000);
  const test = useActs();
  const { approve } = test;

  it('rows of the catalogue and of the house', async () => {
    const { log } = test;
    await log.act('delete', 'castings/horse-box');
    await log.act('delete', 'features/hand-span.base-finish');
    await log.act('delete', 'features/hand-span.base-text');
    await log.act('delete', 'feature-states/hand-span.base-text.frame');
    const told = { statement: 'Sold late.', fromYear: 1964, toYear: 1962, origin: 'a letter', certainty: 'likely' };
    const about = { castingId: null, variantId: null, specimenId: null };
    await log.act('post', 'sources', { ...told, ...about, toYear: 1966 });
    await log.act('post', 'sources', { ...told, ...about, castingId: 'horse-box' });
    const both = { ...told, ...about, toYear: 1966, castingId: 'horse-box' };
    await log.act('post', 'sources', { ...both, specimenId: 'sg-05-1' });
    await log.act('post', 'sources', { ...both, variantId: 'mobile-library.v01' });
    const source = await log.act('post', 'sources', { ...both, variantId: 'horse-box.v01' });
    await log.act('patch', `sources/${source.id}`, { version: 1, toYear: 1964 });
    await log.act('delete', `sources/${source.id}`);
    const issue = { startEarliest: 1960, startLatest: 1961, endEarliest: 1962, endLatest: 1963 };
    const fourth = { castingId: 'horse-box', key: 'v09', name: 'Late', rarity: 3, rarityEvidence: '' };
    await log.act('post', 'variants', { ...fourth, ...issue, startLatest: 1959 });
    await log.act('post', 'variants', { ...fourth, ...issue, endEarliest: 1960 });
    await log.act('post', 'variants', { ...fourth, ...issue, endLatest: 1961 });
    const late = await log.act('post', 'variants', { ...fourth, ...issue });
    await log.act('patch', `variants/${late.id}`, { version: 1, endEarliest: 1963, rarity: 4 });
    const write = (text: string, more: object = {}) =>
      log.act(
        'put',
        'castings/horse-box/issues',
        {
          rows: [{ featureId: 'hand-span.base-finish', label: 'Finish of the base' }],
          issues: [
            {
              ...{ id: late.id, version: 2, name: 'Late', years: '1960-63', rarity: '4', evidence: '' },
              cells: [text],
              ...more,
            },
          ],
        },
        ({ variants, variantStates }: never) => ({
          variants: (variants as { id: string }[]).filter(({ id }) => id === late.id),
          states: (variantStates as { variantId: string; stateId: string; share: number }[])
            .filter(({ variantId }) => variantId === late.id)
            .map(({ stateId, share }) => [stateId, share]),
        }),
      );
    await write('Painted black 70 % or Bare metal 40 %');
    await write('Painted black or painted black', { years: 'soon' });
    await write('Painted black', { version: 1 });
    await write('Painted black 60 % or bare metal');
    await write('Bare metal', { version: 3, years: 'spring 1960 to late 1963' });
    await log.act('get', 'castings/horse-box/identify', undefined, (catalogue: never) =>
      (catalogue as { variants: { id: string }[] }).variants.find(({ id }) => id === late.id),
    );
    await log.act('patch', 'house-style/house', { version: 1, zone: 'Nowhere/Far', lossThreshold: 1 });
    await log.act('patch', 'house-style/house', { version: 1, lossThreshold: 1.5 });
    await log.act('post', 'house-choices', { school: 'S6', option: 'dipping', reason: 'So.' });
    const choice = await log.act('post', 'house-choices', { school: 'S6', option: 'spray can', reason: 'So.' });
    await log.act('delete', `house-choices/${choice.id}`);
    await log.act('patch', 'castings/horse-box', { version: 1, lengthMm: 70 }, (row: never) => {
      const { lengthMm, version } = row as Record<string, number>;
      return { lengthMm, version };
    });
    await log.act('post', 'castings', { ...OWN_LORRY, rangeId: 'other' });
    await log.act('post', 'castings', { ...OWN_LORRY, parts: [...OWN_LORRY.parts, OWN_LORRY.parts[0]] });
    await log.act('post', 'castings', { ...OWN_LORRY, parts: OWN_LORRY.parts.slice(1) });
    const lorry = await log.act('post', 'castings', OWN_LORRY, (row) => row.version);
    await log.act('post', 'castings', OWN_LORRY);
    await log.act('get', `castings/${lorry.id}`, undefined, (view: never) => {
      const { parts, joints, range, maker } = view as { parts: object; joints: object; range: object; maker: object };
      return { parts, joints, range, maker };
    });
    await log.act('delete', `castings/${lorry.id}?version=1`);
    await log.act('get', 'castings');
    approve('catalogue');
  });
});
