import { spawn } from 'node:child_process';
import { ROOT, SERVER } from './bootstrap.mjs';

/** Runs the built server until it ends or this script is stopped. */
export function serve(env) {
  const server = spawn(process.execPath, [SERVER], {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ...env },
  });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
  return server;
}
