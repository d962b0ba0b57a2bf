import { createHash } from 'node:crypto';
import type { JobView, ShelfView } from '@sardonyx/contract';
import type { Found } from './ledger.ts';

/** null: no answer came. */
export type Reply = { readonly status: number; readonly body: unknown } | null;

/** One bench under attack, asked as a page asks it. */
export class BenchClient {
  constructor(readonly address: string) {}

  async send(
    method: string,
    path: string,
    body: unknown,
    headers: Readonly<Record<string, string>> = {},
  ): Promise<Reply> {
    const isForm = body instanceof FormData || body instanceof Uint8Array || typeof body === 'string';
    const type: Record<string, string> = isForm ? {} : { 'content-type': 'application/json' };
    const payload = body === undefined ? null : isForm ? (body as BodyInit) : JSON.stringify(body);
    try {
      const answer = await fetch(`${this.address}/api/${path}`, {
        ...{ method, headers: { ...type, ...headers }, body: payload },
      });
      const text = await answer.text();
      return { status: answer.status, body: text && (JSON.parse(text) as unknown) };
    } catch {
      return null;
    }
  }

  /** An archive as bytes; null where it did not come to its end. */
  async fetchBytes(path: string): Promise<Buffer | null> {
    try {
      const answer = await fetch(`${this.address}/api/${path}`);
      return answer.ok ? Buffer.from(await answer.arrayBuffer()) : null;
    } catch {
      return null;
    }
  }

  async find(jobId: string): Promise<Found> {
    const view = (await this.send('GET', `jobs/${jobId}`, undefined))!.body as JobView;
    const { products, pots } = (await this.send('GET', 'shelf', undefined))!.body as ShelfView;
    const photos = view.photos.map(async ({ caption, hash }) => {
      const bytes = await this.fetchBytes(`photos/${hash}/full`);
      const isWhole = bytes !== null && createHash('sha256').update(bytes).digest('hex') === hash;
      return { caption, hash, isWhole };
    });
    return {
      notes: view.log.filter(({ act }) => act === 'note').map(({ note }) => note),
      findings: view.specimens.flatMap((specimen) => specimen.findings.map(({ id, note }) => ({ id, note }))),
      photos: await Promise.all(photos),
      pots: pots.map((pot) => products.find(({ id }) => id === pot.productId)!.name),
    };
  }
}
