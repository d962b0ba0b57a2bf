/** Runs in a worker: looks for the card on so many pictures and says how that went. */
import { parentPort, workerData } from 'node:worker_threads';
import { tryCards } from './tryCards.ts';

const { count, from } = workerData as { count: number; from: number };
parentPort!.postMessage(tryCards(count, from));
