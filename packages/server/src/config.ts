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
  /** Where phones are listened for once they are let in. */
  readonly phonePort: number;
}

const PROJECT = resolve(import.meta.dirname, '../../..');

/** What the environment and the command line ask for. The demo has a folder of its own and never touches a restorer's. */
export function readConfig(env: NodeJS.ProcessEnv, args: readonly string[]): Config {
  const isDemo = args.includes('--demo');
  const folder = isDemo
    ? (env.SARDONYX_DEMO_DATA ?? join(PROJECT, '.data', 'demo'))
    : (env.SARDONYX_DATA ?? join(homedir(), 'Sardonyx'));
  return {
    folder: resolve(folder),
    host: '127.0.0.1',
    port: readPort(env, 'SARDONYX_PORT', 4180),
    phonePort: readPort(env, 'SARDONYX_PHONE_PORT', 4182),
    isDemo,
    isFresh: args.includes('--fresh'),
    webRoot: join(PROJECT, 'packages', 'web', 'dist'),
  };
}

function readPort(env: NodeJS.ProcessEnv, name: string, usual: number): number {
  const port = Number(env[name] ?? usual);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    throw new Error(`${name} must be a port number, not "${env[name]}".`);
  return port;
}
