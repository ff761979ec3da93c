import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, ROOT, SERVER } from './bootstrap.mjs';

/**
 * A demo studio on a folder of its own, and a browser to look at it with. `work` gets both; afterwards
 * everything is taken away again.
 */
export async function withStudio(port, work) {
  ensureInstalled();
  ensureBuilt();
  const executablePath = ensureChromium();
  const { chromium } = createRequire(join(ROOT, 'e2e/package.json'))('@playwright/test');
  const address = `http://127.0.0.1:${port}`;
  const folder = mkdtempSync(join(tmpdir(), 'icy-ribbon-studio-'));
  const server = spawn(process.execPath, [SERVER], {
    env: { ...process.env, ICY_RIBBON_DEMO: '1', ICY_RIBBON_DATA: folder, ICY_RIBBON_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((ready) =>
    server.stdout.on('data', (chunk) => String(chunk).includes('is at') && ready()),
  );
  const browser = await chromium.launch({ executablePath, args: ['--no-sandbox'] });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  const { items } = await (await fetch(`${address}/api/pieces?pageSize=100`)).json();
  const idOf = (name) => items.find((piece) => piece.name === name).id;
  try {
    await work({ address, page, idOf });
  } finally {
    await browser.close();
    server.kill();
    rmSync(folder, { recursive: true, force: true });
  }
}
