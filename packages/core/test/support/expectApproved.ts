import { expect } from 'chai';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/**
 * What somebody read and found right, line by line. Where it changes on purpose: SARDONYX_APPROVE=1 writes it anew, and the
 * difference is read before it is kept.
 */
export function expectApproved(file: string, text: string): void {
  if (process.env.SARDONYX_APPROVE) writeFileSync(file, `${text}\n`);
  const approved = existsSync(file) ? readFileSync(file, 'utf8').trimEnd().split('\n') : [];
  const lines = text.split('\n');
  const at = lines.findIndex((line, i) => line !== approved[i]);
  if (at >= 0)
    expect(lines.slice(at, at + 6).join('\n'), `${file}, line ${at + 1}`).equal(approved.slice(at, at + 6).join('\n'));
  expect(lines.length, `${file}, lines`).equal(approved.length);
}
