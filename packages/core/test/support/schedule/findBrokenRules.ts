import type { WorkPlan, Workshop } from '../../../src/schedule/solve/workshop.ts';

/** What a plan breaks, in words; by its starts alone, minute by minute where that is plainer. Shares nothing with what makes plans. */
export function findBrokenRules(workshop: Workshop, { starts, who }: WorkPlan): string[] {
  const { tasks, restorers, places, dry, gun, airingMin, inRoom } = workshop;
  const broken: string[] = [];
  const say = (i: number, what: string) => broken.push(`${tasks[i]!.id}: ${what}`);
  const at = (i: number) => starts[i]!;

  const sprays = tasks.map((_, i) => i).filter((i) => tasks[i]!.gun !== null);
  sprays.sort((a, b) => at(a) - at(b));
  const cleaned = new Set(
    sprays.filter((i, n) => {
      const next = sprays[n + 1];
      if (next === undefined || tasks[next]!.gun !== tasks[i]!.gun) return true;
      return at(next) - at(i) - tasks[i]!.handsMin > gun.keepsMin;
    }),
  );
  const handsMinOf = (i: number) => tasks[i]!.handsMin + (cleaned.has(i) ? gun.cleaningMin : 0);

  tasks.forEach((task, i) => {
    if (!(at(i) >= task.notBefore)) return say(i, `starts at ${at(i)}, its post comes at ${task.notBefore}`);
    if (!task.within.some(({ from, to }) => from <= at(i) && at(i) < to))
      say(i, `${at(i)} lies in none of its windows`);
    if (!task.who.includes(who[i]!)) say(i, `is not for restorer ${who[i]}`);
    const begins = at(i);
    const leaves = at(i) + Math.max(handsMinOf(i), task.handsMin + task.watchedMin);
    if (!restorers[who[i]!]?.sessions.some(({ from, to }) => from <= begins && leaves <= to))
      say(i, `nobody is there from ${begins} to ${leaves}`);
    if (task.isDry && !dry.some(({ from, to }) => from <= at(i) && at(i) + task.handsMin <= to)) say(i, 'in the rain');
    for (const { task: first, spans } of task.after) {
      const since = at(i) - (at(first) + tasks[first]!.handsMin + tasks[first]!.watchedMin);
      if (!spans.some(({ from, to }) => from <= since && since < to)) say(i, `${since} min after ${tasks[first]!.id}`);
    }
  });

  const inAir = (k: number) => {
    const { handsMin, watchedMin, passiveMin, air } = tasks[k]!;
    return [at(k), at(k) + handsMin + watchedMin + passiveMin + (air === 'vapour' ? airingMin : 0)] as const;
  };
  tasks.forEach(({ air }, i) => {
    for (const clock of inRoom) {
      const ends = clock.to + (clock.air === 'vapour' ? airingMin : 0);
      if (air !== null && air !== clock.air && inAir(i)[0] < ends && clock.from < inAir(i)[1])
        say(i, `${air} beside ${clock.air} of a clock`);
    }
  });

  // Two at a time: hands, gun, air.
  for (let i = 0; i < tasks.length; i++)
    for (let j = i + 1; j < tasks.length; j++) {
      const [a, b] = [tasks[i]!, tasks[j]!];
      const handsOf = (k: number) => [at(k), at(k) + handsMinOf(k)] as const;
      const meets = ([from, to]: readonly [number, number], [other, end]: readonly [number, number]) =>
        from < end && other < to;
      if (who[i] === who[j] && meets(handsOf(i), handsOf(j))) say(i, `the same hands as ${b.id}`);
      if (a.gun !== null && b.gun !== null && meets(handsOf(i), handsOf(j))) say(i, `the same gun as ${b.id}`);
      if (a.air !== null && b.air !== null && a.air !== b.air && meets(inAir(i), inAir(j)))
        say(i, `${a.air} beside ${b.air} of ${b.id}`);
    }

  for (const [place, room] of Object.entries(places)) {
    const inIt = tasks.flatMap(({ holds, handsMin, watchedMin, passiveMin }, i) =>
      holds
        .filter((one) => one.place === place)
        .map(({ until, setting }) => {
          const minutes = {
            hands: handsMin,
            watched: handsMin + watchedMin,
            passive: handsMin + watchedMin + passiveMin,
          };
          return { i, from: at(i), to: at(i) + minutes[until], setting };
        }),
    );
    for (const one of inIt) {
      const now = inIt.filter(({ from, to }) => from <= one.from && one.from < to);
      if (now.length > room) say(one.i, `${now.length} in ${place}`);
      if (new Set(now.map(({ setting }) => setting)).size > 1) say(one.i, `two settings in ${place}`);
    }
  }
  return broken;
}
