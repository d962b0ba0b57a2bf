import type { QueryRunner } from 'typeorm';

/**
 * Brings the tasks and logs of a bench from before fields to what they can still say. Until then a task's words were all
 * there was: they are read here once, for good, and nowhere else. A strip step whose passes name another method than its
 * title was renamed by a later decision; the passes are believed.
 */
export async function freezeLog(queryRunner: QueryRunner): Promise<void> {
  const parts = (await queryRunner.query('SELECT specimenId, key, name FROM specimen_part')) as OldPart[];
  const joints = (await queryRunner.query(
    'SELECT joint.key, joint.ways, specimen.id AS specimenId FROM joint JOIN specimen ON specimen.castingId = joint.castingId',
  )) as OldJoint[];
  const passes = (await queryRunner.query('SELECT taskId, method FROM strip_pass ORDER BY startedAt')) as readonly {
    readonly taskId: string;
    readonly method: string;
  }[];
  const methodOf = new Map(passes.map(({ taskId, method }) => [taskId, method]));
  const works = new Map<string, FrozenWork>();
  for (const task of (await queryRunner.query('SELECT * FROM task')) as OldTask[]) {
    const frozen = freezeTask(task, parts, joints, methodOf.get(task.id) ?? null);
    works.set(task.id, frozen.work);
    const [done] = (await queryRunner.query(
      "SELECT at FROM task_log WHERE taskId = ? AND act = 'done' ORDER BY at DESC LIMIT 1",
      [task.id],
    )) as { at: string }[];
    await queryRunner.query(
      'UPDATE task SET act = ?, of = ?, method = ?, way = ?, title = ?, how = ?, because = ?, needs = ?, "after" = ?, doneAt = ?, state = ? WHERE id = ?',
      [
        ...[frozen.work.act, JSON.stringify(frozen.work.of), frozen.work.method],
        frozen.work.way && JSON.stringify(frozen.work.way),
        ...[frozen.work.title, withoutCodes(task.how), withoutCodes(task.because)],
        ...[JSON.stringify(frozen.needs), JSON.stringify(frozen.after)],
        task.state === 'done' ? (done?.at ?? null) : null,
        // Until then only the plan took a task out.
        ...[task.state === 'not needed' ? 'set aside' : task.state, task.id],
      ],
    );
  }
  for (const { id, taskId } of (await queryRunner.query('SELECT id, taskId FROM task_log')) as OldEntry[])
    await queryRunner.query('UPDATE task_log SET work = ? WHERE id = ?', [JSON.stringify(works.get(taskId)), id]);
  // A sheet of decals was told by its name; where a solved want came from by its part.
  await queryRunner.query(
    "UPDATE want SET kind = 'decal' WHERE lower(what) LIKE '%decal%' OR lower(what) LIKE '%transfer%'",
  );
  await queryRunner.query(
    "UPDATE want SET origin = (SELECT origin FROM specimen_part WHERE id = want.specimenPartId) WHERE state = 'solved'",
  );
  // Every plan is compiled again when the bench is opened.
  await queryRunner.query("UPDATE specimen SET planFingerprint = '', planInput = ''");
}

interface OldPart {
  readonly specimenId: string;
  readonly key: string;
  readonly name: string;
}

interface OldJoint {
  readonly specimenId: string;
  readonly key: string;
  readonly ways: string;
}

interface OldEntry {
  readonly id: string;
  readonly taskId: string;
}

interface OldTask {
  readonly id: string;
  readonly specimenId: string;
  readonly key: string;
  readonly title: string;
  readonly how: string;
  readonly because: string;
  readonly station: string;
  readonly partKeys: string;
  readonly tags: string;
  readonly colours: string;
  readonly after: string;
  readonly state: string;
  readonly handsOnMin: number;
  readonly watchedMin: number;
  readonly passiveMin: number;
}

interface FrozenWay {
  readonly key: string;
  readonly label: string;
  readonly destroys: string;
}

interface FrozenWork {
  readonly act: string;
  readonly of: Readonly<Record<string, string>>;
  readonly method: string | null;
  readonly way: FrozenWay | null;
  readonly title: string;
}

/** How the title of a strip step began, by its method. */
const STRIP_TITLES: readonly (readonly [method: string, title: string])[] = [
  ['gel', 'Brush gel stripper on the'],
  ['dip', 'Lay in dip stripper: the'],
  ['caustic', 'Caustic bath for the'],
  ['mild slow', 'Lay in glycol-ether fluid: the'],
  ['glycol-ether', 'Glycol-ether fluid on the paint of the'],
  ['thinner wipe', 'Wipe the paint off the'],
];

const OF_JOINTS = new Set(['open', 'pilot', 'axle-in-hand', 'tap', 'anneal', 'check', 'close']);
const OF_AREAS = new Set(['mist', 'colour', 'bright', 'chrome', 'decal', 'decal-fit']);

function freezeTask(
  task: OldTask,
  parts: readonly OldPart[],
  joints: readonly OldJoint[],
  passMethod: string | null,
): { work: FrozenWork; needs: object; after: object[] } {
  const { key, station, how, because, handsOnMin, watchedMin, passiveMin } = task;
  const [act = '', ...rest] = key.split(':');
  const partKeys = JSON.parse(task.partKeys) as string[];
  const tags = JSON.parse(task.tags) as string[];
  const partNames = partKeys.map(
    (partKey) => parts.find((part) => part.specimenId === task.specimenId && part.key === partKey)?.name ?? partKey,
  );
  const method =
    act === 'strip' ? (passMethod ?? readStripMethod(task.title)) : act === 'plating-off' ? 'caustic' : null;
  const isRenamed = act === 'strip' && method !== null && method !== readStripMethod(task.title);
  const title = isRenamed
    ? `${STRIP_TITLES.find(([one]) => one === method)?.[1] ?? 'Strip the'} ${partNames[0]?.toLowerCase() ?? ''}`
    : task.title;
  const work = {
    ...{ act, of: readSubject(act, rest), partKeys, station, method, process: null },
    way: act === 'open' ? readWay(task, rest.join(':'), joints) : null,
    ...{ colours: JSON.parse(task.colours) as string[], rule: '', title, how: isRenamed ? '' : withoutCodes(how) },
    because: isRenamed ? '' : withoutCodes(because),
    ...{ handsOnMin, watchedMin, passiveMin, partNames, products: [], measures: [] },
  };
  const has = (...some: readonly string[]) => some.some((tag) => tags.includes(tag));
  return {
    work,
    needs: {
      ...{ tools: [], booth: has('spray'), bath: null, stays: watchedMin > 0 },
      air: has('vapour', 'bath') ? 'vapour' : has('spark', 'flame') ? 'spark' : null,
    },
    after: (JSON.parse(task.after) as object[]).map((link) => ({ ...link, waitMin: 0, latestMin: null })),
  };
}

/** Codes of rules and schools stood in the words; a record shows none. */
const withoutCodes = (text: string) => text.replaceAll(/ \([ONS]\d+\)/g, '');

const readStripMethod = (title: string) => STRIP_TITLES.find(([, start]) => title.startsWith(start))?.[0] ?? null;

function readSubject(act: string, rest: readonly string[]): Readonly<Record<string, string>> {
  const whole = rest.join(':');
  if (OF_JOINTS.has(act)) return { jointKey: whole };
  if (OF_AREAS.has(act)) return { area: rest.slice(1).join(':') };
  if (act === 'get') return { wantId: whole };
  if (act === 'mix') return { colour: whole };
  return act === 'tool' ? { jointKind: whole.replace('-', ' ') } : {};
}

/** The title of an opening said which way was taken. */
function readWay({ specimenId, title }: OldTask, jointKey: string, joints: readonly OldJoint[]): FrozenWay | null {
  const joint = joints.find((one) => one.specimenId === specimenId && one.key === jointKey);
  const ways = joint ? (JSON.parse(joint.ways) as FrozenWay[]) : [];
  const way = ways.find(({ label }) => title.startsWith(`${label}:`));
  if (way) return { key: way.key, label: way.label, destroys: way.destroys };
  return title.startsWith('Nip the heads off')
    ? { key: 'nip', label: 'Nip the heads off with cutters', destroys: 'the axle ends' }
    : null;
}
