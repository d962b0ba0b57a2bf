import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { buildServer, SERVER } from '../../../../scripts/buildServer.mjs';

export interface StartedServer {
  readonly address: string;
  readonly pid: number;
  /** Everything it said so far. */
  said(): string;
  /** Without a word of warning, and waits until it is gone. */
  kill(): Promise<void>;
}

/** The real server as a process of its own on a folder; throws with what it said where it does not open. */
export async function startServer(
  folder: string,
  env: NodeJS.ProcessEnv = {},
  onSpawn: (child: ChildProcess) => void = () => undefined,
): Promise<StartedServer> {
  await buildServer();
  const child = spawn(process.execPath, [SERVER], {
    env: { ...process.env, SARDONYX_DATA: folder, SARDONYX_PORT: '0', SARDONYX_PHONE_PORT: '0', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  onSpawn(child);
  let text = '';
  const address = await new Promise<string>((done, fail) => {
    const hear = (piece: Buffer) => {
      text += piece.toString();
      const found = /open at (http:\S+)/.exec(text);
      if (found) done(found[1]!);
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) => fail(new Error(`The server ended with ${code}:\n${text}`)));
  });
  return { address, pid: child.pid!, said: () => text, kill: () => end(child) };
}

async function end(child: ChildProcess): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = once(child, 'exit');
  child.kill('SIGKILL');
  await gone;
}
