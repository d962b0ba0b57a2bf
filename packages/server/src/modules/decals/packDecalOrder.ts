import { Readable } from 'node:stream';
import { nameOrderFile, writeDecalOrder, writeDecalSvg, type FollowedOrder } from '@sardonyx/core';
import { ZipFile } from 'yazl';

/** A ZIP for a supplier: the letter, and each artwork as SVG at its true size. */
export function packDecalOrder(orders: readonly FollowedOrder[], mtime: Date): Readable {
  const zip = new ZipFile();
  const add = (name: string, text: string) => zip.addBuffer(Buffer.from(text), name, { mtime });
  add('order.txt', writeDecalOrder(orders));
  orders.forEach(({ artwork }, i) => add(nameOrderFile(orders, i), writeDecalSvg(artwork)));
  zip.end();
  return Readable.from(zip.outputStream);
}
