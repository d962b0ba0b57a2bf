import { groupBy } from '../groupBy.ts';
import type { Feature, FeatureState, ProductionSpan, Variant, VariantState } from '../model/catalogue.ts';
import { parseYears, sayYears } from './years.ts';

/** The issues of a casting as a printed list has them: a column each, a row for each feature, every cell as it was typed. */
export interface IssueSheet {
  readonly rows: readonly SheetRow[];
  readonly issues: readonly SheetIssue[];
}

/** A feature that is known, or one to be made. */
export interface SheetRow {
  readonly featureId: string | null;
  readonly label: string;
}

export interface SheetIssue {
  /** null for a new one. */
  readonly id: string | null;
  /** The version that it was read with; null for a new one. */
  readonly version: number | null;
  readonly name: string;
  readonly years: string;
  /** 0 common to 10 hardly ever seen; empty: nobody knows, taken as UNKNOWN_RARITY. */
  readonly rarity: string;
  readonly evidence: string;
  /** One for each row; empty where nothing is recorded. */
  readonly cells: readonly string[];
}

export const SHEET_FIELDS = ['name', 'years', 'rarity', 'evidence'] as const;
export type SheetField = (typeof SHEET_FIELDS)[number];

/** What the sheet is checked against. */
export interface KnownIssues {
  readonly features: readonly Pick<Feature, 'id' | 'label'>[];
  readonly states: readonly Pick<FeatureState, 'id' | 'featureId' | 'label'>[];
  readonly variants: readonly Variant[];
  readonly variantStates: readonly Omit<VariantState, 'id' | 'version'>[];
}

/** What is wrong, and where: a row of features, or a field of the issue; `issue` is null for a row's own name. */
export interface SheetProblem {
  readonly issue: number | null;
  readonly at: SheetField | number;
  readonly message: string;
}

/** A state by its id, or one to be made by its label. */
export interface PlannedState {
  readonly stateId: string | null;
  readonly label: string;
  readonly share: number;
  /** Where this cell is from; empty: as the issue as a whole. */
  readonly origin: string;
}

export interface PlannedIssue {
  readonly id: string | null;
  readonly version: number | null;
  readonly fields: ProductionSpan & Pick<Variant, 'name' | 'rarity' | 'rarityEvidence'>;
  /** Something of its own fields is new; its cells are told apart. */
  readonly isChanged: boolean;
  /** Cells that say something else than what is recorded. */
  readonly cells: readonly { readonly row: number; readonly states: readonly PlannedState[] }[];
}

export interface SheetPlan {
  readonly problems: readonly SheetProblem[];
  readonly newRows: readonly number[];
  readonly newStates: readonly { readonly row: number; readonly label: string }[];
  readonly issues: readonly PlannedIssue[];
}

/** Rarity of an issue that nobody rated (planning estimate). */
const UNKNOWN_RARITY = 1;
const MOST_LETTERS = 120;

/** What is in the catalogue, as a sheet. */
export function writeSheet({ features, states, variants, variantStates }: KnownIssues): IssueSheet {
  const labels = new Map(states.map((state) => [state.id, state.label]));
  const recorded = groupBy(variantStates, (row) => `${row.variantId} ${row.featureId}`);
  return {
    rows: features.map(({ id, label }) => ({ featureId: id, label })),
    issues: variants.map((variant) => ({
      ...{ id: variant.id, version: variant.version, name: variant.name, years: sayYears(variant) },
      ...{ rarity: String(variant.rarity), evidence: variant.rarityEvidence },
      cells: features.map(({ id }) =>
        sayCell(
          (recorded.get(`${variant.id} ${id}`) ?? []).map(({ stateId, share, origin }) => ({
            ...{ label: labels.get(stateId) ?? '', share, origin },
          })),
        ),
      ),
    })),
  };
}

/** "Domed", "Crimped flat or Domed", "Domed 70 % or Crimped flat 30 %", "Domed [list of 1974]". */
function sayCell(states: readonly Omit<PlannedState, 'stateId'>[]): string {
  const isEven = states.every(({ share }) => Math.abs(share - 1 / states.length) < 1e-6);
  const isOneOrigin = states.every(({ origin }) => origin === states[0]!.origin);
  const cite = (origin: string | undefined) => (origin ? ` [${origin}]` : '');
  return (
    states
      .map(({ label, share, origin }) => {
        const said = isEven ? label : `${label} ${Number((100 * share).toFixed(2))} %`;
        return isOneOrigin ? said : said + cite(origin);
      })
      .join(' or ') + (isOneOrigin ? cite(states[0]?.origin) : '')
  );
}

/** An empty column. */
export const createIssueColumn = (rows: number): SheetIssue => ({
  ...{ id: null, version: null, name: '', years: '', rarity: '', evidence: '' },
  cells: new Array<string>(rows).fill(''),
});

export const isEmptyColumn = (issue: SheetIssue): boolean =>
  issue.id === null &&
  [issue.name, issue.years, issue.rarity, issue.evidence, ...issue.cells].every((text) => !text.trim());

/**
 * Checks a sheet as a whole and says what it would change. It is carried out only when there are no problems. Columns that
 * were left empty are no issues; issues that are not on the sheet stay as they are.
 */
export function planSheet({ rows, issues }: IssueSheet, known: KnownIssues): SheetPlan {
  const problems: SheetProblem[] = [];
  const labels = new Set<string>();
  rows.forEach((row, at) => {
    const label = row.label.trim().toLowerCase();
    if (!label) problems.push({ issue: null, at, message: 'Say what is looked at in this row.' });
    else if (labels.has(label)) problems.push({ issue: null, at, message: 'This row is there already.' });
    else if (label.length > MOST_LETTERS) problems.push({ issue: null, at, message: TOO_LONG });
    else if (row.featureId !== null && !known.features.some(({ id }) => id === row.featureId))
      problems.push({ issue: null, at, message: 'This row was taken out of the catalogue meanwhile.' });
    labels.add(label);
  });
  const newStates = new Map<string, { row: number; label: string }>();
  const names = new Set<string>();
  const planned = issues.flatMap((issue, i): PlannedIssue[] => {
    if (isEmptyColumn(issue)) return [];
    const complain = (at: SheetField | number, message: string) => void problems.push({ issue: i, at, message });
    const fields = readFields(issue, complain);
    if (names.has(fields.name)) complain('name', 'Two issues cannot have one name.');
    names.add(fields.name);
    const before = known.variants.find((variant) => variant.id === issue.id);
    if (issue.id !== null && !before) complain('name', 'This issue was taken out of the catalogue meanwhile.');
    const cells = rows.flatMap((row, r) => {
      const own = known.states.filter((state) => state.featureId === row.featureId);
      const states = readCell(issue.cells[r] ?? '', own, (message) => complain(r, message));
      for (const { stateId, label } of states)
        if (stateId === null) newStates.set(`${r} ${label.toLowerCase()}`, { row: r, label });
      const recorded = known.variantStates.filter(
        (one) => one.variantId === issue.id && one.featureId === row.featureId,
      );
      return isRecorded(states, row.featureId === null ? [] : recorded) ? [] : [{ row: r, states }];
    });
    return [{ id: issue.id, version: issue.version, fields, isChanged: !before || differs(fields, before), cells }];
  });
  return {
    problems,
    newRows: rows.flatMap((row, r) => (row.featureId === null ? [r] : [])),
    newStates: [...newStates.values()],
    issues: planned.filter((issue) => issue.isChanged || issue.cells.length > 0),
  };
}

const TOO_LONG = `At most ${MOST_LETTERS} letters.`;
const NO_SPAN: ProductionSpan = { startEarliest: 0, startLatest: 0, endEarliest: 0, endLatest: 0 };

type Complain = (at: SheetField, message: string) => void;

function readFields(issue: SheetIssue, complain: Complain): PlannedIssue['fields'] {
  const name = issue.name.trim();
  if (!name) complain('name', 'Name this issue.');
  if (name.length > MOST_LETTERS) complain('name', TOO_LONG);
  const span = parseYears(issue.years);
  if (!span)
    complain(
      'years',
      issue.years.trim() ? 'Write 1964-68, about 1966, spring 1965 on, 1960s.' : 'When was it made? About is enough.',
    );
  const rarity = issue.rarity.trim() === '' ? UNKNOWN_RARITY : Number(issue.rarity.replace(',', '.'));
  if (!(rarity >= 0 && rarity <= 10)) complain('rarity', 'A number from 0, common, to 10, hardly ever seen.');
  if (issue.evidence.length > 500) complain('evidence', 'At most 500 letters.');
  return { name, ...(span ?? NO_SPAN), rarity, rarityEvidence: issue.evidence.trim() };
}

function differs(fields: PlannedIssue['fields'], before: Variant): boolean {
  return (Object.keys(fields) as (keyof PlannedIssue['fields'])[]).some((field) => {
    const [a, b] = [fields[field], before[field]];
    return typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) > 1e-6 : a !== b;
  });
}

const SHARE = /^(.*\S)\s+(\d+(?:[.,]\d+)?) ?%$/;

const ORIGIN = /^(.*?)\s*\[([^[\]]*)\]$/;
const MOST_ORIGIN = 200;

/**
 * States of one cell; they share evenly where no shares are given. A word that no state has is a new state. What stands in
 * square brackets behind a state says where it is from; behind the last, where none before it has its own, of all of them.
 */
function readCell(
  text: string,
  own: readonly Pick<FeatureState, 'id' | 'label'>[],
  complain: (message: string) => void,
): PlannedState[] {
  const find = (label: string) => own.find((state) => state.label.toLowerCase() === label.toLowerCase());
  const whole = text.trim();
  if (!whole) return [];
  const parts = find(whole) ? [whole] : whole.split(/\s+or\s+|\s*[;/]\s*/).filter(Boolean);
  const read = parts.map((part) => {
    const cited = find(part) ? null : ORIGIN.exec(part);
    const said = cited ? cited[1]! : part;
    const shared = find(said) ? null : SHARE.exec(said);
    const label = shared ? shared[1]! : said;
    const state = find(label);
    const origin = cited?.[2]?.trim() ?? '';
    if (!label) complain('What does this source say? Write the state before it.');
    if (origin.length > MOST_ORIGIN) complain(`A source has at most ${MOST_ORIGIN} letters.`);
    if (label.length > MOST_LETTERS) complain(TOO_LONG);
    return {
      ...{ stateId: state?.id ?? null, label: state?.label ?? label, origin },
      share: shared ? Number(shared[2]!.replace(',', '.')) / 100 : null,
    };
  });
  const names = read.map((one) => one.label.toLowerCase());
  if (new Set(names).size < names.length) complain('The same is said twice.');
  const given = read.filter((one) => one.share !== null);
  const sum = given.reduce((total, one) => total + one.share!, 0);
  if (given.some((one) => one.share === 0) || sum > 1 + 1e-6)
    complain('Shares are above 0 and at most 100 % together.');
  // What the shares leave goes to those without one.
  const rest = (1 - sum) / Math.max(1, read.length - given.length);
  if (given.length < read.length && rest <= 0) complain('Nothing is left for the one without a share.');
  const isOfAll = read.slice(0, -1).every(({ origin }) => origin === '');
  const last = read.at(-1)?.origin ?? '';
  return read.map((one) => ({ ...one, share: one.share ?? rest, origin: isOfAll ? last : one.origin }));
}

function isRecorded(
  states: readonly PlannedState[],
  recorded: readonly Pick<VariantState, 'stateId' | 'share' | 'origin'>[],
): boolean {
  return (
    states.length === recorded.length &&
    states.every(({ stateId, share, origin }) =>
      recorded.some((row) => row.stateId === stateId && Math.abs(row.share - share) < 1e-4 && row.origin === origin),
    )
  );
}
