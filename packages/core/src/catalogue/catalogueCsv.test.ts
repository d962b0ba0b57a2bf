import { expect } from 'chai';
import fc from 'fast-check';
import { ALTERATION_GROUPS, BODY_TYPES, SOURCE_CERTAINTIES } from '../model/catalogue.ts';
import { PART_ROLES } from '../model/partRole.ts';
import type { CatalogueTables } from './catalogueTables.ts';
import { CSV_COLUMNS } from './csvLayout.ts';
import { planCatalogueImport, type ImportPlan } from './planCatalogueImport.ts';
import { readCatalogueCsv, type CsvProblem } from './readCatalogueCsv.ts';
import { writeCatalogueCsv } from './writeCatalogueCsv.ts';

const EMPTY: CatalogueTables = {
  ...{ makers: [], ranges: [], features: [], states: [] },
  ...{ castings: [], variants: [], variantStates: [], sources: [] },
};

function finish<T>(work: Generator<number, T>): T {
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

let lastId = 0;
const read = (text: string) => finish(readCatalogueCsv(text));
const plan = (text: string, existing: CatalogueTables = EMPTY): ImportPlan =>
  finish(planCatalogueImport(read(text), existing, () => `id-${++lastId}`));

/** Any catalogue that fits together, with awkward texts in it. */
const text = fc
  .tuple(
    fc.constantFrom('x', '=', '+', '@', '-', "'=", "'"),
    fc.string({
      minLength: 1,
      maxLength: 20,
      unit: fc.constantFrom('a', 'Z', '"', ',', ';', '\n', ' ', 'é', '=', '-'),
    }),
  )
  .map(([first, s]) => `${first}${s}x`);
const year = fc.integer({ min: 1900 * 4, max: 1999 * 4 }).map((quarter) => quarter / 4);
const tables: fc.Arbitrary<CatalogueTables> = fc
  .record({
    words: fc.array(text, { minLength: 8, maxLength: 8 }),
    start: year,
    steps: fc.array(fc.double({ min: 0, max: 3, noNaN: true }), { minLength: 3, maxLength: 3 }),
    share: fc.double({ min: 0.01, max: 0.49, noNaN: true }),
    rarity: fc.double({ min: 0, max: 10, noNaN: true }),
    pick: fc.nat(5),
    colour: fc.constantFrom(null, '#c08a2c'),
    known: fc.boolean(),
  })
  .map(({ words, start, steps, share, rarity, pick, colour, known }) => {
    const ends = steps.reduce((list, step) => [...list, list.at(-1)! + step], [start]);
    const dates = { fromYear: known ? start : null, toYear: known ? ends[3]! : null };
    const state = (key: string) => ({
      ...{ id: `f.${key}`, version: 1, featureId: 'f', key, label: words[4]!, colourHex: colour, ...dates },
      lookAlikes: key === 'a' ? ['b'] : [],
    });
    const recorded = (stateKey: string) => ({
      ...{
        id: `v.${stateKey}`,
        version: 1,
        variantId: 'v',
        featureId: 'f',
        stateId: `f.${stateKey}`,
        share,
        origin: stateKey === 'a' ? words[7]! : '',
      },
    });
    const said = { id: 's', version: 1, castingId: 'c', specimenId: null, statement: words[6]!, origin: words[7]! };
    return {
      makers: [{ id: 'works', version: 1, name: words[0]!, about: words[1]!, ...dates }],
      ranges: [{ id: 'small', version: 1, makerId: 'works', name: words[2]!, about: '' }],
      features: [
        {
          ...{ id: 'f', version: 1, rangeId: 'small', key: 'wheels', label: words[3]!, howToLook: words[4]! },
          ...{ partRole: PART_ROLES[pick]!, effort: 1 + pick, destroys: known ? words[5]! : '' },
          group: ALTERATION_GROUPS[pick]!,
        },
      ],
      states: [state('a'), state('b')],
      castings: [
        {
          ...{ id: 'c', version: 1, rangeId: 'small', number: '4/2', name: words[5]!, bodyType: BODY_TYPES[pick]! },
          ...{ lengthMm: 50 + share, wheelbaseMm: 30.5, construction: words[1]!, history: words[3]! },
        },
      ],
      variants: [
        {
          ...{ id: 'v', version: 1, castingId: 'c', key: 'v1', name: words[0]!, rarity, rarityEvidence: words[2]! },
          ...{ startEarliest: ends[0]!, startLatest: ends[1]!, endEarliest: ends[2]!, endLatest: ends[3]! },
        },
      ],
      variantStates: [recorded('a'), recorded('b')],
      sources: [
        { ...said, variantId: null, ...dates, certainty: SOURCE_CERTAINTIES[pick % 3]! },
        { ...said, id: 't', variantId: 'v', ...dates, certainty: SOURCE_CERTAINTIES[0] },
      ],
    };
  });

describe('a catalogue as CSV', () => {
  it('comes back exactly, whatever the texts and numbers (property)', () => {
    fc.assert(
      fc.property(tables, (catalogue) => {
        const written = writeCatalogueCsv(catalogue);
        const { added, problems } = plan(written);
        expect(problems).deep.equal([]);
        expect(writeCatalogueCsv(added)).equal(written);
      }),
      { numRuns: 200 },
    );
  });

  it('changes nothing when it is read over itself (property)', () => {
    fc.assert(
      fc.property(tables, (catalogue) => {
        const { added, changed, unchanged, removedVariantStateIds } = plan(writeCatalogueCsv(catalogue), catalogue);
        expect([
          ...Object.values(added).flat(),
          ...Object.values(changed).flat(),
          ...removedVariantStateIds,
        ]).deep.equal([]);
        expect(unchanged).equal(11);
      }),
      { numRuns: 50 },
    );
  });

  const [catalogue] = fc.sample(tables, { numRuns: 1, seed: 3 });
  const line = (cells: Partial<Record<(typeof CSV_COLUMNS)[number], string>>) =>
    CSV_COLUMNS.map((column) => cells[column] ?? '').join(',');
  const header = CSV_COLUMNS.join(',');
  const problemsOf = (...lines: string[]): readonly CsvProblem[] =>
    plan([header, ...lines].join('\n'), catalogue).problems;

  it('names line and column of every bad cell', () => {
    const variant = { kind: 'variant', range: 'small', casting: '4/2', variant: 'v2', name: 'Later' };
    const problems = problemsOf(
      line({ ...variant, from_year: '1960', start_latest: '1959', end_earliest: '1962', to_year: '1963', rarity: '2' }),
      line({ kind: 'state', range: 'small', feature: 'wheels', state: 'Grey!', name: 'Grey', colour: 'grey' }),
      line({ kind: 'wheel', name: 'x' }),
      line({
        kind: 'casting',
        range: 'small',
        casting: '9',
        name: 'N',
        body_type: 'ship',
        length_mm: '"60,5"',
        wheelbase_mm: '3',
      }),
      line({ kind: 'maker', maker: 'm', name: 'M', share: '1' }),
      line({
        kind: 'variant state',
        range: 'small',
        casting: '4/9',
        variant: 'v1',
        feature: 'wheels',
        state: 'a',
        share: '1',
      }),
    );
    expect(problems.map((problem) => [problem.line, problem.column])).deep.equal([
      [2, 'start_latest'],
      [3, 'state'],
      [3, 'colour'],
      [4, 'kind'],
      [5, 'body_type'],
      [5, 'length_mm'],
      [5, 'wheelbase_mm'],
      [6, 'share'],
      [7, 'variant'],
    ]);
    expect(problems[0]!.message).include('1959 is before 1960');
  });

  it('counts lines through quoted line breaks', () => {
    const problems = problemsOf(line({ kind: 'maker', maker: 'm', name: '"two\nlines"' }), line({ kind: 'nonsense' }));
    expect(problems.map((problem) => problem.line)).deep.equal([4]);
  });

  it('refuses doubles, shares over 1 and columns it does not know', () => {
    const share = (state: string, value: string) =>
      line({
        kind: 'variant state',
        range: 'small',
        casting: '4/2',
        variant: 'v1',
        feature: 'wheels',
        state,
        share: value,
      });
    expect(problemsOf(share('a', '0.7'), share('b', '0.6'))[0]).include({ line: 3, column: 'share' });
    expect(problemsOf(share('a', '0.7'), share('a', '0.3'))[0]!.message).include('line 2 already');
    expect(read('kind,wheels\nmaker,x').problems[0]!.message).include('"wheels" is not known');
    expect(read('').problems[0]!.message).include('must name the columns');
  });

  it('replaces the states of a feature as a set and keeps ids and versions of what changes', () => {
    const { changed, added, removedVariantStateIds } = plan(
      [
        header,
        line({
          kind: 'variant state',
          range: 'small',
          casting: '4/2',
          variant: 'v1',
          feature: 'wheels',
          state: 'a',
          share: '1',
        }),
      ].join('\r\n'),
      catalogue,
    );
    // The file names no source of its own for it.
    expect(changed.variantStates).deep.equal([{ ...catalogue!.variantStates[0]!, share: 1, origin: '' }]);
    expect(removedVariantStateIds).deep.equal(['v.b']);
    expect(added.variantStates).deep.equal([]);
  });

  it('understands semicolons and a byte order mark', () => {
    expect(read('\uFEFFkind;maker;name\nmaker;m;M').rows[0]!.cells).include({ maker: 'm', name: 'M' });
  });
});
