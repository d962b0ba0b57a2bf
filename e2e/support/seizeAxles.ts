import { sendTo } from './sendTo.ts';

/** The dumper's axles are found seized and are to come out: one head of each is ground off. */
export async function seizeAxles(address: string): Promise<void> {
  const seized = { specimenPartId: 'sg-04-1.axles', kind: 'seized', severity: 2, note: 'Rust.' };
  await sendTo(address, 'POST', 'findings', seized);
  const wish = { specimenId: 'sg-04-1', jointKey: 'axle-ends', wish: 'open', reason: 'Seized.' };
  await sendTo(address, 'POST', 'joint-wishes', wish);
}
