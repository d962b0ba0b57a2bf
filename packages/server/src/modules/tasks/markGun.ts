import type { EntityManager } from 'typeorm';
import type { TaskRow } from '../../entities/work.ts';
import { ToolRow } from '../../entities/workshop.ts';

/** What a spray task leaves in the gun; cleaning takes it out. */
export async function markGun(manager: EntityManager, task: TaskRow): Promise<void> {
  const isClean = task.act === 'clean-gun' || task.act === 'rinse-gun' || task.act === 'gun-ready';
  if (!isClean && !task.needs.tools.includes('airbrush')) return;
  const gun = await manager.findOneBy(ToolRow, { kind: 'airbrush' });
  if (!gun) return;
  const holds = isClean ? '' : (task.colours[0] ?? gun.holds);
  if (holds !== gun.holds || (isClean && gun.state === 'needs cleaning'))
    await manager.update(ToolRow, { id: gun.id }, { holds, state: 'ready', version: gun.version + 1 });
}
