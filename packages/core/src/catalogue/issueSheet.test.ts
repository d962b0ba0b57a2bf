import { expect } from 'chai';
import { createSeededRandom, pickOne } from '../numeric/seededRandom.ts';
import type { Variant } from '../model/catalogue.ts';
import { fillRight, pasteTable, writeAt } from './editSheet.ts';
import { createIssueColumn, planSheet, writeSheet, type IssueSheet, type KnownIssues } from './issueSheet.ts';
import { parseYears } from './years.ts';

const features = [
  { id: 'wheels', label: 'Wheels' },
  { id: 'grille', label: 'Grille' },
];
const states = [
  ...['Cast metal', 'Grey plastic', 'Black plastic'].map((label) => ({
    id: `wheels.${label}`,
    featureId: 'wheels',
    label,
  })),
  ...['Solid, ribs only', 'Pierced'].map((label) => ({ id: `grille.${label}`, featureId: 'grille', label })),
];
const variant = (id: string, name: string, years: string): Variant => ({
  ...{ id, version: 3, castingId: 'c', key: id, name, rarity: 2, rarityEvidence: 'two known', foundOnId: null },
  ...parseYears(years)!,
});
const known: KnownIssues = {
  features,
  states,
  variants: [variant('v1', 'First', '1958-60'), variant('v2', 'Second', 'about 1962')],
  variantStates: [
    { variantId: 'v1', featureId: 'wheels', stateId: 'wheels.Cast metal', share: 1, origin: '' },
    { variantId: 'v1', featureId: 'grille', stateId: 'grille.Solid, ribs only', share: 1, origin: '' },
    { variantId: 'v2', featureId: 'wheels', stateId: 'wheels.Grey plastic', share: 0.7, origin: '' },
    { variantId: 'v2', featureId: 'wheels', stateId: 'wheels.Black plastic', share: 0.3, origin: '' },
  ],
};
const sheet = writeSheet(known);
const set = (given: IssueSheet, issue: number, at: Parameters<typeof writeAt>[1], text: string): IssueSheet => ({
  ...given,
  issues: given.issues.map((one, i) => (i === issue ? writeAt(one, at, text) : one)),
});
const withColumn = (given: IssueSheet): IssueSheet => ({
  ...given,
  issues: [...given.issues, createIssueColumn(given.rows.length)],
});

describe('the issues of a casting as a sheet', () => {
  it('stand as a printed list has them', () => {
    expect(sheet.issues.map(({ name, years, cells }) => [name, years, ...cells])).deep.equal([
      ['First', '1958-60', 'Cast metal', 'Solid, ribs only'],
      ['Second', 'about 1962', 'Grey plastic 70 % or Black plastic 30 %', ''],
    ]);
  });

  it('change nothing as they are, an empty column included', () => {
    expect(planSheet(withColumn(sheet), known)).deep.equal({ problems: [], newRows: [], newStates: [], issues: [] });
  });

  it('take a cell that was changed, a word that is new as a state, and leave the rest', () => {
    const plan = planSheet(set(sheet, 1, 1, 'pierced or Barred'), known);
    expect(plan.problems).deep.equal([]);
    expect(plan.newStates).deep.equal([{ row: 1, label: 'Barred' }]);
    expect(plan.issues.map(({ id, version, isChanged, cells }) => ({ id, version, isChanged, cells }))).deep.equal([
      {
        ...{ id: 'v2', version: 3, isChanged: false },
        cells: [
          {
            row: 1,
            states: [
              { stateId: 'grille.Pierced', label: 'Pierced', share: 0.5, origin: '' },
              { stateId: null, label: 'Barred', share: 0.5, origin: '' },
            ],
          },
        ],
      },
    ]);
  });

  it('give what shares leave to those without one', () => {
    const plan = planSheet(set(sheet, 0, 0, 'Grey plastic 60 %; Cast metal / black plastic'), known);
    expect(plan.issues[0]!.cells[0]!.states.map(({ share }) => share)).deep.equal([0.6, 0.2, 0.2]);
  });

  it('say in brackets where a cell is from, all of it or one state of it', () => {
    const read = (text: string) =>
      planSheet(set(sheet, 0, 1, text), known).issues[0]!.cells[0]!.states.map(({ label, origin }) => [label, origin]);
    expect(read('Pierced [list of 1974, p. 3]')).deep.equal([['Pierced', 'list of 1974, p. 3']]);
    expect(read('Pierced 70 % or Barred 30 % [two seen]')).deep.equal([
      ['Pierced', 'two seen'],
      ['Barred', 'two seen'],
    ]);
    expect(read('Pierced [a] or Barred')).deep.equal([
      ['Pierced', 'a'],
      ['Barred', ''],
    ]);
    // Only the source is new: the cell is written, the issue's own fields are not.
    expect(planSheet(set(sheet, 0, 0, 'Cast metal [seen]'), known).issues).length(1);
    // A state that is called so is no source.
    const odd = { ...known, states: [...states, { id: 'w', featureId: 'wheels', label: 'Cast [early]' }] };
    expect(planSheet(set(sheet, 0, 0, 'cast [early]'), odd).issues[0]!.cells[0]!.states[0]).deep.include({
      ...{ stateId: 'w', origin: '' },
    });
  });

  it('empty a cell that was emptied', () => {
    expect(planSheet(set(sheet, 0, 0, ' '), known).issues[0]!.cells).deep.equal([{ row: 0, states: [] }]);
  });

  for (const [issue, at, text, message] of [
    [0, 'name', '', /Name this issue/],
    [1, 'name', 'First', /one name/],
    [0, 'years', 'soon', /1964-68/],
    [0, 'years', '', /When was it made/],
    [0, 'rarity', '11', /0, common, to 10/],
    [0, 'rarity', 'rare', /0, common, to 10/],
    [0, 0, 'Cast metal or cast metal', /said twice/],
    [0, 0, '[list of 1974]', /Write the state before it/],
    [0, 0, `Cast metal [${'x'.repeat(201)}]`, /at most 200/],
    [0, 0, 'Cast metal 80 % or Grey plastic 30 %', /at most 100 %/],
    [0, 0, 'Cast metal 100 % or Grey plastic', /Nothing is left/],
  ] as const)
    it(`say what is wrong with "${text}" at ${at}, and where`, () => {
      const { problems } = planSheet(set(sheet, issue, at, text), known);
      expect(problems.map((one) => [one.issue, one.at])).deep.equal([[issue, at]]);
      expect(problems[0]!.message).match(message);
    });

  it('name a row without a name and one that is there twice', () => {
    const rows = [...sheet.rows, { featureId: null, label: ' ' }, { featureId: null, label: 'wheels' }];
    const { problems } = planSheet({ rows, issues: [] }, known);
    expect(problems.map(({ issue, at }) => [issue, at])).deep.equal([
      [null, 2],
      [null, 3],
    ]);
  });

  it('complain of an issue or a row that was taken out meanwhile', () => {
    expect(planSheet(sheet, { ...known, features: features.slice(1) }).problems).deep.equal([
      { issue: null, at: 0, message: 'This row was taken out of the catalogue meanwhile.' },
    ]);
    const { problems } = planSheet(sheet, { ...known, variants: known.variants.slice(1) });
    expect(problems).deep.equal([
      { issue: 0, at: 'name', message: 'This issue was taken out of the catalogue meanwhile.' },
    ]);
  });

  it('are filled to the right up to what says something of its own', () => {
    const wide = withColumn(withColumn(set(withColumn(sheet), 1, 1, 'Pierced')));
    expect(fillRight(wide, 1).issues.map(({ cells }) => cells[1])).deep.equal([
      ...['Solid, ribs only', 'Pierced', 'Pierced', 'Pierced', 'Pierced'],
    ]);
    expect(fillRight(wide, 'years').issues.at(-1)!.years).equal('about 1962');
  });
});

describe('a table that is pasted', () => {
  const LIST = 'Issue\tSecond\tThird\nYears\t1961-62\t1963\nWheels\t\tBlack plastic\nAxles\tthin\tthick\n';

  it('is a whole list where its first column names the rows: known issues change, new ones come, rows are added', () => {
    const pasted = pasteTable(withColumn(sheet), LIST, { issue: 0, at: 'name' });
    expect(pasted.rows.map(({ label }) => label)).deep.equal(['Wheels', 'Grille', 'Axles']);
    expect(pasted.issues.map(({ id, name, years, cells }) => [id, name, years, ...cells])).deep.equal([
      ['v1', 'First', '1958-60', 'Cast metal', 'Solid, ribs only', ''],
      ['v2', 'Second', '1961-62', 'Grey plastic 70 % or Black plastic 30 %', '', 'thin'],
      [null, 'Third', '1963', 'Black plastic', '', 'thick'],
    ]);
    const plan = planSheet(pasted, known);
    expect([plan.problems, plan.newRows, plan.newStates.length]).deep.equal([[], [2], 2]);
  });

  it('is read with semicolons, too, and whichever way lines end', () => {
    const other = LIST.replaceAll('\t', ';').replaceAll('\n', '\r\n');
    expect(pasteTable(sheet, other, { issue: 0, at: 'name' })).deep.equal(
      pasteTable(sheet, LIST, { issue: 0, at: 'name' }),
    );
  });

  it('goes where the hand is otherwise, with columns as they are needed', () => {
    const pasted = pasteTable(sheet, 'Cast metal\tGrey plastic\nPierced\tPierced\nlost\tlost', { issue: 1, at: 0 });
    expect(pasted.issues.map(({ cells }) => cells)).deep.equal([
      ['Cast metal', 'Solid, ribs only'],
      ['Cast metal', 'Pierced'],
      ['Grey plastic', 'Pierced'],
    ]);
    expect(pasteTable(sheet, 'one cell', { issue: 0, at: 'evidence' }).issues[0]!.evidence).equal('one cell');
  });
});

describe('random sheets', () => {
  it('come out as they went in: what a plan writes is read as the same sheet, and changes nothing then', () => {
    const random = createSeededRandom(16);
    const cells = [
      '',
      'Cast metal',
      'grey plastic',
      'Pierced or Barred',
      'A 25 % or B 75 %',
      'x; y; z',
      'Pierced [p. 3]',
      'A [1] or B [2] or C',
      'A or B [1]',
    ];
    const years = ['1964', '1964-68', 'about 1966', 'spring 1965 on', '1960s'];
    for (let round = 0; round < 200; round++) {
      const count = 1 + Math.floor(4 * random());
      const typed: IssueSheet = {
        rows: sheet.rows,
        issues: Array.from({ length: count }, (_, i) => ({
          ...{ id: null, version: null, name: `Issue ${i}`, years: pickOne(years, random), rarity: '3', evidence: '' },
          cells: sheet.rows.map(() => pickOne(cells, random)),
        })),
      };
      const plan = planSheet(typed, { ...known, variants: [], variantStates: [] });
      expect(plan.problems).deep.equal([]);
      const after = carryOut(plan);
      const again = writeSheet(after);
      expect(planSheet(again, after)).deep.include({ problems: [], newStates: [], issues: [] });
      expect(again.issues.map((one) => one.years)).deep.equal(typed.issues.map((one) => one.years));
    }
  });
});

/** What a server makes of a plan, without its ids. */
function carryOut(plan: ReturnType<typeof planSheet>): KnownIssues {
  const made = plan.newStates.map(({ row, label }) => ({
    ...{ id: `${row} ${label.toLowerCase()}`, featureId: features[row]!.id, label },
  }));
  const variants = plan.issues.map(({ fields }, i) => ({
    ...{ id: `new ${i}`, version: 1, castingId: 'c', key: `new-${i}`, foundOnId: null, ...fields },
  }));
  const variantStates = plan.issues.flatMap(({ cells }, i) =>
    cells.flatMap(({ row, states: own }) =>
      own.map(({ stateId, label, share, origin }) => ({
        ...{ variantId: `new ${i}`, featureId: features[row]!.id, share, origin },
        stateId: stateId ?? `${row} ${label.toLowerCase()}`,
      })),
    ),
  );
  return { features, states: [...states, ...made], variants, variantStates };
}
