import { nanoid } from '@reduxjs/toolkit';

const UNANSWERED_KEY = 'sardonyx.unanswered';
/** Older ones go: nobody sends them again. */
const MOST = 200;

/** Acts that got no answer, by what they ask: they may have counted. Survives a reload, as the edits that wait do. */
const unanswered = new Map<string, string>(read());
/** Acts that are being sent. */
const underWay = new Map<string, string>();

/**
 * The key under which an act is sent. Sent again because no answer came, or pressed once more before it could come, it has the
 * one that it had: the bench counts it once.
 */
export function keyOfAct(act: string): string {
  const key = unanswered.get(act) ?? underWay.get(act) ?? nanoid();
  underWay.set(act, key);
  return key;
}

export function noteUnanswered(act: string): void {
  unanswered.set(act, underWay.get(act)!);
  underWay.delete(act);
  for (const first of unanswered.keys()) {
    if (unanswered.size <= MOST) break;
    unanswered.delete(first);
  }
  keep();
}

export function noteAnswered(act: string): void {
  underWay.delete(act);
  if (unanswered.delete(act)) keep();
}

function read(): [string, string][] {
  try {
    return JSON.parse(localStorage.getItem(UNANSWERED_KEY) ?? '[]') as [string, string][];
  } catch {
    return [];
  }
}

function keep(): void {
  try {
    localStorage.setItem(UNANSWERED_KEY, JSON.stringify([...unanswered]));
  } catch {
    // A browser that keeps nothing still has them until it is shut.
  }
}
