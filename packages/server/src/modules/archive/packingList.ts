/** Rows that are of a job alone: each table with the columns by which it hangs on one before it. */
export const OF_A_JOB: readonly (readonly [table: string, ...by: (readonly [column: string, parent: string])[]])[] = [
  ['specimen', ['jobId', 'job']],
  ['specimen_part', ['specimenId', 'specimen']],
  ['area', ['specimenPartId', 'specimen_part']],
  ['coating_layer', ['areaId', 'area']],
  ['coat_touch', ['layerId', 'coating_layer']],
  ['decision', ['jobId', 'job']],
  ['signing', ['jobId', 'job']],
  ['task', ['jobId', 'job']],
  ['task_log', ['jobId', 'job']],
  ['timer', ['jobId', 'job']],
  ['plan_change', ['jobId', 'job']],
  ['strip_pass', ['jobId', 'job']],
  ['photo', ['jobId', 'job']],
  ['photo_measure', ['photoId', 'photo']],
  ['observation', ['specimenId', 'specimen']],
  ['measurement', ['specimenId', 'specimen']],
  ['joint_wish', ['specimenId', 'specimen']],
  ['joint_condition', ['specimenId', 'specimen']],
  ['found_joint', ['specimenId', 'specimen']],
  ['coming_off', ['specimenPartId', 'specimen_part']],
  ['finding', ['specimenPartId', 'specimen_part']],
  ['want', ['specimenPartId', 'specimen_part']],
  ['colour_capture', ['jobId', 'job']],
  ['mix', ['jobId', 'job']],
  ['mix_step', ['mixId', 'mix']],
  ['decal_plan', ['layerId', 'coating_layer']],
  ['decal_order', ['layerId', 'coating_layer']],
  ['decal_act', ['layerId', 'coating_layer']],
  ['order_line', ['jobId', 'job'], ['wantId', 'want']],
  ['print_run', ['wantId', 'want']],
];

/** Rows of the house that go along when one is named, and what goes along with them: the whole log of a pot, a casting's parts. */
export const OF_THE_HOUSE: Readonly<Record<string, readonly (readonly [table: string, by: string])[]>> = {
  maker: [],
  toy_range: [['feature', 'rangeId']],
  feature: [['feature_state', 'featureId']],
  feature_state: [],
  casting: [
    ['casting_part', 'castingId'],
    ['joint', 'castingId'],
    ['variant', 'castingId'],
    ['dated_source', 'castingId'],
  ],
  casting_part: [],
  joint: [],
  variant: [
    ['variant_state', 'variantId'],
    ['dated_source', 'variantId'],
  ],
  variant_state: [],
  dated_source: [],
  paint_product: [],
  paint_pot: [['pot_movement', 'potId']],
  pot_movement: [],
  supplier: [],
  stock_thing: [['stock_movement', 'thingId']],
  stock_movement: [],
  stock_order: [],
  vessel: [],
  bath: [],
  mesh: [],
  print: [],
  decal_artwork: [],
  decal_sheet: [],
};

/** Columns that name a row without a foreign key. What they name goes along where it is of the house. */
export const NAMED: readonly (readonly [table: string, column: string, of: string])[] = [
  ['specimen', 'settledVariantId', 'variant'],
  ['print_run', 'thingId', 'stock_thing'],
  ['decal_sheet', 'continuesId', 'decal_sheet'],
];

/** What stays on the bench, and why. */
export const STAYS: Readonly<Record<string, string>> = {
  restorer: 'people go by their names; their evenings are of the house',
  house_style: 'how a house works is its own',
  house_choice: 'how a house works is its own',
  history: 'how often what happens here is of the house',
  tool: 'of the house',
  instrument: 'of the house',
  room_reading: 'the room is of the house',
  day_weather: 'the weather is of the place',
  evenings_plan: 'over all jobs of the house',
  counted_act: 'made by the program to count an act once',
};
