import type { DataSource, EntityMetadata } from 'typeorm';

/** Numbers and words that stand nowhere else, so that whoever finds one knows where it came from. */
let last = 0;
/** Stands in every word that was made here. */
export const STRANGE = 'zq';
const nextNumber = () => 20_011 + 7 * ++last;
const nextWord = (of: string) => `${of.replaceAll(/[._]/g, ' ')} ${STRANGE}${++last}`;
const nextMoment = () => new Date(Date.UTC(2011, 0, 1) + 61_007 * ++last).toISOString();
const nextDay = () => new Date(Date.UTC(1971, 0, 1) + 86_400_000 * ++last).toISOString().slice(0, 10);

const lab = () => [nextNumber() / 1e3, nextNumber() / 1e3, nextNumber() / 1e3];
const point = () => ({ x: nextNumber() / 10, y: nextNumber() / 10 });
const word = (of: string) => nextWord(of);

/** What chance cannot make: values that the core knows by name, and fields that are more than one value. */
const KNOWN: Readonly<Record<string, () => unknown>> = {
  'job.scope': () => 'repair only',
  'job.target': () => 'period-correct',
  'job.station': () => 'finish',
  'signing.lacks': () => [{ key: 'hours', what: word('lack'), why: 'somebody asks', station: null }],
  'decision.school': () => 'S9',
  'decision.option': () => 'from the nearest shelf colour',
  'task.act': () => 'mend',
  'task.of': () => ({}),
  'task.station': () => 'strip',
  'task.method': () => 'gel',
  'task.process': () => null,
  'task.way': () => null,
  'task.partKeys': () => ['strange'],
  'task.tags': () => [],
  'task.hazards': () => [],
  'task.colours': () => [],
  'task.needs': () => ({ tools: [], booth: false, bath: null, stays: false, air: null }),
  'task.uses': () => [],
  'task.after': () => [],
  'task.state': () => 'doing',
  'task_log.act': () => 'done otherwise',
  'task_log.work': () => ({
    ...{ act: 'mend', of: {}, partKeys: ['strange'], station: 'strip', process: null, colours: [], rule: '' },
    ...{ method: null, way: { key: 'k', label: word('way'), destroys: '' }, how: '' },
    ...{ title: word('title'), because: word('because'), handsOnMin: 1, watchedMin: 0, passiveMin: 0 },
    ...{ partNames: [word('part')], products: [word('product')] },
    measures: [{ what: 'length', valueMm: nextNumber() / 100 }],
  }),
  'timer.kind': () => 'soak',
  'specimen.settledBy': () => 'opened and seen',
  'specimen.planInput': () => '',
  'specimen.planFingerprint': () => '',
  'specimen.planNotices': () => [],
  'specimen_part.key': () => 'strange',
  'specimen_part.role': () => 'base',
  'specimen_part.material': () => 'tinplate',
  'specimen_part.materialCertainty': () => 'unsure',
  'specimen_part.state': () => 'worn',
  'specimen_part.origin': () => 'printed',
  'area.kind': () => 'mask',
  'area.size': () => ({ value: nextNumber() / 100, relativeSd: 0.3719, way: 'weighed' }),
  'area.outline': () => ({ view: 'side', points: [point(), point(), point()] }),
  'coating_layer.stage': () => 'applied',
  'coating_layer.kind': () => 'brightwork',
  'coating_layer.colourHex': () => '#1a2b3c',
  'coating_layer.thicknessOrigin': () => 'measured',
  'coating_layer.whose': () => 'owner',
  'coating_layer.rejection': () => ({
    ...{ at: nextMoment(), by: word('by'), because: word('because'), failure: 'ran', helped: word('helped') },
    photoHash: 'f'.repeat(64),
  }),
  'coating_layer.how': () => ({
    ...{ batch: word('batch'), thinnerParts: 1.317, pressureBar: 1.217, nozzleMm: 0.317, humidity: 47.17 },
  }),
  'coating_layer.decalMm': () => ({ widthMm: nextNumber() / 100, heightMm: nextNumber() / 100 }),
  'observation.certainty': () => 'likely',
  'observation.captureIds': () => [],
  'observation.size': () => ({ value: nextNumber() / 100, unit: 'mm', sd: nextNumber() / 1e5 }),
  'measurement.what': () => 'wheelbase',
  'dated_source.certainty': () => 'likely',
  'finding.kind': () => 'twisted',
  'finding.pinnedTo': () => 'side',
  'finding.measuredUnit': () => '°',
  'finding.mend': () => 'resin',
  'want.kind': () => 'feature',
  'want.getBy': () => 'make',
  'want.state': () => 'waived',
  'want.origin': () => 'made',
  'want.bits': () => [
    {
      id: 'b',
      what: word('bit'),
      amount: nextNumber(),
      by: 'buy',
      thingId: null,
      isHere: true,
      price: nextNumber() / 100,
    },
  ],
  'want.taken': () => ({ thingId: 'gone', amount: nextNumber() / 100 }),
  'photo.stage': () => 'during',
  'photo.side': () => 'detail',
  'photo.control': () => ({ name: word('control'), points: [{ mm: point(), pixel: point() }] }),
  'photo_measure.kind': () => 'angle',
  'photo_measure.points': () => [point(), point()],
  'colour_capture.place': () => 'sheltered',
  'colour_capture.lab': lab,
  'colour_capture.sd': lab,
  'colour_capture.spectrum': () => Array.from({ length: 31 }, () => nextNumber() / 1e6),
  'colour_capture.geometry': () => 'gloss left out',
  'colour_capture.method': () => 'spectrophotometer',
  'colour_capture.point': point,
  'mix.target': lab,
  'mix.targetA': lab,
  'mix.geometry': () => 'gloss left out',
  'mix.dosing': () => 'drops',
  'mix.way': () => 'nearest pot',
  'mix.recipe': () => [],
  'mix_step.body': () => ({ kind: 'patch', lab: lab(), sd: lab(), how: 'typed', words: null }),
  'decal_artwork.sizeFrom': () => 'typed',
  'decal_artwork.shapes': () => [],
  'decal_artwork.cutLine': () => [],
  'decal_artwork.inkLine': () => [],
  'decal_artwork.inks': () => [{ hex: '#9a8b7c', share: 1 }],
  'decal_artwork.drawn': () => null,
  'decal_plan.panel': () => ({
    ...{ widthMm: nextNumber() / 100, heightMm: nextNumber() / 100, sdMm: 0.1919, marginMm: 0.7171 },
  }),
  'decal_plan.place': () => ({ view: 'side', ...point(), turnDegrees: nextNumber() / 1000 }),
  'decal_order.artwork': () => ({ name: word('ordered artwork') }),
  'decal_order.rating': () => ({
    ...{ isSharp: true, isInRegister: false, isWhiteDense: null, releasesWell: true, note: word('rating') },
  }),
  'decal_act.act': () => 'trouble',
  'decal_act.trouble': () => 'folded',
  'decal_act.film': () => 'clear',
  'decal_sheet.paper': () => 'A5',
  'decal_sheet.film': () => 'white',
  'decal_sheet.artworks': () => [],
  'decal_sheet.correctedBy': () => ({ along: 1.00719, down: 0.99317 }),
  'decal_sheet.measured': () => ({ alongMm: nextNumber() / 100, downMm: nextNumber() / 100 }),
  'coat_touch.test': () => 'handle',
  'joint_wish.wish': () => 'closed',
  'joint_condition.condition': () => 'glued',
  'found_joint.kind': () => 'push fit',
  'found_joint.partKeys': () => ['strange'],
  'coming_off.fromSide': () => 'top',
  'stock_movement.move': () => 'taken',
  'pot_movement.move': () => 'taken',
  'order_line.serves': () => null,
  'order_line.toolKind': () => null,
  'order_line.quality': () => 'poor',
  'print_run.inFile': () => [nextNumber() / 100, nextNumber() / 100, nextNumber() / 100],
  'print_run.measure': () => ({ axis: 'y', mm: nextNumber() / 100, sdMm: 0.0717 }),
  'strip_pass.method': () => 'caustic bath',
  'strip_pass.result': () => 'bare',
  'strip_pass.size': () => ({
    ...{
      lengthMm: nextNumber() / 10,
      widthMm: nextNumber() / 10,
      heightMm: nextNumber() / 10,
      volumeMl: nextNumber() / 10,
    },
  }),
  'bath.kind': () => 'caustic',
  'plan_change.because': () => [word('because')],
  'plan_change.added': () => [word('added')],
  'plan_change.dropped': () => [word('dropped')],
  'plan_change.keptAside': () => [word('kept aside')],
};

export interface StrangeRow {
  readonly table: string;
  readonly values: Readonly<Record<string, unknown>>;
}

/** Rows of the house that a job refers to: they are there already. */
const HOUSE = [
  'casting',
  'variant',
  'feature',
  'feature_state',
  'paint_product',
  'paint_pot',
  'stock_thing',
  'supplier',
  'vessel',
  'print',
  'mesh',
];
/** Each of them once more in a second row, as its kind asks for it. */
const FIRST = [
  'job',
  'specimen',
  'specimen_part',
  'area',
  'coating_layer',
  'task',
  'photo',
  'want',
  'stock_order',
  'colour_capture',
  'mix',
  'bath',
  'decal_artwork',
];

/** Tables of which every job may have rows: those that refer to one, through however many others. */
export function listTablesOfJobs(source: DataSource): EntityMetadata[] {
  const isOfJob = (one: EntityMetadata): boolean =>
    one.tableName === 'job' ||
    one.columns.some(
      ({ propertyName }) => propertyName === 'jobId' || propertyName === 'layerId' || propertyName === 'wantId',
    ) ||
    one.relations.some(
      ({ inverseEntityMetadata: parent }) => parent !== one && !HOUSE.includes(parent.tableName) && isOfJob(parent),
    );
  const more = ['bath', 'stock_order', 'decal_artwork', 'decal_sheet'];
  return source.entityMetadatas.filter((one) => isOfJob(one) || more.includes(one.tableName));
}

/** Fills one row of every table of a job, each field with something that stands nowhere else. The job's id, and the rows. */
export async function insertStrangeJob(
  source: DataSource,
): Promise<{ readonly jobId: string; readonly rows: readonly StrangeRow[] }> {
  const tables = listTablesOfJobs(source);
  const ids = new Map<string, string>();
  for (const table of HOUSE) ids.set(table, await findId(source, table));
  const rank = ({ tableName }: EntityMetadata) => (FIRST.includes(tableName) ? FIRST.indexOf(tableName) : FIRST.length);
  const rows: StrangeRow[] = [];
  // Parents refer to each other as well: whoever comes later is tied up by hand.
  await source.query('PRAGMA foreign_keys = OFF');
  for (const one of tables) ids.set(one.tableName, `strange-${one.tableName}`);
  for (const one of [...tables].sort((a, b) => rank(a) - rank(b))) {
    const values = fillRow(one, ids);
    rows.push({ table: one.tableName, values });
    await source.getRepository(one.target).insert(values);
  }
  // A decal has a planned layer of its own, and a piece on the sheet.
  const layer = rows.find(({ table }) => table === 'coating_layer')!.values;
  const planned = {
    ...layer,
    id: 'strange-decal',
    stage: 'planned',
    kind: 'decal',
    name: nextWord('decal'),
    rejection: null,
  };
  await source.getRepository('coating_layer').insert(planned);
  for (const table of ['decal_plan', 'decal_order', 'decal_act'])
    await source.query(`UPDATE ${table} SET layerId = 'strange-decal' WHERE id = ?`, [`strange-${table}`]);
  const pieces = JSON.stringify([{ layerId: 'strange-decal', artworkId: 'strange-decal_artwork' }]);
  await source.query(`UPDATE decal_sheet SET pieces = ? WHERE id = 'strange-decal_sheet'`, [pieces]);
  await source.query('PRAGMA foreign_keys = ON');
  return { jobId: 'strange-job', rows };
}

async function findId(source: DataSource, table: string): Promise<string> {
  const key = table === 'mesh' ? 'hash' : 'id';
  const where: Record<string, string> = {
    variant: `WHERE castingId = (SELECT id FROM casting ORDER BY id LIMIT 1)`,
    casting: 'ORDER BY id',
  };
  const [row] = (await source.query(`SELECT ${key} AS id FROM ${table} ${where[table] ?? ''} LIMIT 1`)) as {
    id: string;
  }[];
  return row!.id;
}

function fillRow(one: EntityMetadata, ids: ReadonlyMap<string, string>): Record<string, unknown> {
  const parents = new Map(
    one.relations.map((relation) => [relation.joinColumns[0]!.databaseName, relation.inverseEntityMetadata.tableName]),
  );
  return Object.fromEntries(
    one.columns.map(({ propertyName, type }) => [
      propertyName,
      fillField(one.tableName, propertyName, String(type), parents, ids),
    ]),
  );
}

/** Ids without a foreign key, by what they are called. */
const REFERS: Readonly<Record<string, string>> = {
  ...{
    jobId: 'job',
    taskId: 'task',
    specimenId: 'specimen',
    specimenPartId: 'specimen_part',
    layerId: 'coating_layer',
  },
  ...{
    wantId: 'want',
    photoId: 'photo',
    settledVariantId: 'variant',
    thingId: 'stock_thing',
    productId: 'paint_product',
  },
  ...{ variantId: 'variant', castingId: 'casting' },
};

function fillField(
  table: string,
  field: string,
  type: string,
  parents: ReadonlyMap<string, string>,
  ids: ReadonlyMap<string, string>,
): unknown {
  const known = KNOWN[`${table}.${field}`];
  if (known) return known();
  if (field === 'id') return `strange-${table}`;
  if (field === 'version') return 1;
  if (field === 'seq') return 900_000 + ++last;
  const parent = parents.get(field) ?? REFERS[field];
  if (parent) return ids.get(parent) ?? null;
  if (field.endsWith('Id') || field === 'jointKey') return field === 'jointKey' ? 'strange-found_joint' : null;
  if (type === 'boolean') return true;
  if (type === 'integer') return nextNumber();
  if (type === 'real') return nextNumber() / 100;
  if (type === 'simple-json') return [];
  if (/(At$|^at$)/.test(field)) return nextMoment();
  if (field.endsWith('On')) return nextDay();
  return nextWord(`${table}.${field}`);
}
