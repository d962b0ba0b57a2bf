import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

export interface Config {
  readonly folder: string;
  readonly host: string;
  readonly port: number;
  readonly isDemo: boolean;
  /** Demo only: start over with fresh data. */
  readonly isFresh: boolean;
  readonly webRoot: string;
}

const PROJECT = resolve(import.meta.dirname, '../../..');

/** What the environment and the command line ask for. The demo has a folder of its own and never touches a restorer's. */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[]): Config {
  const isDemo = args.includes('--demo');
  const folder = isDemo
    ? (env.SARDONYX_DEMO_DATA ?? join(PROJECT, '.data', 'demo'))
    : (env.SARDONYX_DATA ?? join(homedir(), 'Sardonyx'));
  const port = Number(env.SARDONYX_PORT ?? 4180);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`SARDONYX_PORT must be a port number, not "${env.SARDONYX_PORT}".`);
  return {
    folder: resolve(folder),
    host: '127.0.0.1',
    port,
    isDemo,
    isFresh: args.includes('--fresh'),
    webRoot: join(PROJECT, 'packages', 'web', 'dist'),
  };
}
