// Sets everything up and serves: node scripts/serve.mjs [--demo] [--fresh]
import { spawn } from 'node:child_process';
import { buildServer, SERVER } from './buildServer.mjs';
import { buildWeb } from './buildWeb.mjs';
import { root, setUp } from './setUp.mjs';

await setUp();
await buildWeb();
await buildServer();
const server = spawn(process.execPath, ['--enable-source-maps', SERVER, ...process.argv.slice(2)], {
  cwd: root,
  stdio: 'inherit',
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
