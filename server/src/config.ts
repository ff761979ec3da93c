import { homedir } from 'node:os';
import { join, resolve } from 'node:path';

/** How the server is set up, read once from the environment. */
export interface Config {
  readonly host: string;
  readonly port: number;
  readonly dataFolder: string;
  readonly webFolder: string;
  /** Where the build has written what the API is. */
  readonly describedFolder: string;
  /** Where the photos of the demo's pours lie. */
  readonly demoFolder: string;
  readonly demo: boolean;
  /** Needed as soon as the server can be reached from another device. */
  readonly passphrase: string | null;
  /** Whether it listens to this machine only. */
  readonly isLoopback: boolean;
  /** Where other devices come in when the artist lets them. */
  readonly doorPort: number;
  /** The certificate for it; null when one is to be made. */
  readonly tls: { readonly certFile: string; readonly keyFile: string } | null;
  /** Further host names under which a browser may reach this server. */
  readonly allowedHosts: readonly string[];
}

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1']);

/**
 * Reads ICY_RIBBON_HOST, ICY_RIBBON_PORT, ICY_RIBBON_DOOR_PORT, ICY_RIBBON_DATA, ICY_RIBBON_PASSPHRASE, ICY_RIBBON_HOSTS,
 * ICY_RIBBON_TLS_CERT with ICY_RIBBON_TLS_KEY, and ICY_RIBBON_DEMO.
 *
 * @throws Error with a sentence for the terminal when a setting cannot be used
 */
export function readConfig(env: Record<string, string | undefined>, packageFolder: string): Config {
  const host = env.ICY_RIBBON_HOST || '127.0.0.1';
  const port = Number(env.ICY_RIBBON_PORT || 4480);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`ICY_RIBBON_PORT is "${env.ICY_RIBBON_PORT}": give a whole number up to 65535.`);
  }
  const doorPort = Number(env.ICY_RIBBON_DOOR_PORT || (port > 0 ? port + 1 : 0));
  if (!Number.isInteger(doorPort) || doorPort < 0 || doorPort > 65535) {
    throw new Error(
      `ICY_RIBBON_DOOR_PORT is "${env.ICY_RIBBON_DOOR_PORT}": give a whole number up to 65535.`,
    );
  }
  const [certFile, keyFile] = [env.ICY_RIBBON_TLS_CERT, env.ICY_RIBBON_TLS_KEY];
  if (Boolean(certFile) !== Boolean(keyFile)) {
    throw new Error('ICY_RIBBON_TLS_CERT and ICY_RIBBON_TLS_KEY belong together: give both or none.');
  }
  const passphrase = env.ICY_RIBBON_PASSPHRASE || null;
  if (!LOOPBACK.has(host) && passphrase === null) {
    throw new Error(
      'With ICY_RIBBON_HOST open to other devices, set ICY_RIBBON_PASSPHRASE to at least 8 characters.',
    );
  }
  if (passphrase !== null && passphrase.length < 8) {
    throw new Error('ICY_RIBBON_PASSPHRASE is too short: give at least 8 characters.');
  }
  return {
    host,
    port,
    dataFolder: resolve(env.ICY_RIBBON_DATA || join(homedir(), '.icy-ribbon')),
    webFolder: resolve(packageFolder, '../web/dist'),
    describedFolder: resolve(packageFolder, 'bundle/described'),
    demoFolder: resolve(packageFolder, 'demo'),
    demo: env.ICY_RIBBON_DEMO === '1',
    passphrase,
    isLoopback: LOOPBACK.has(host),
    doorPort,
    tls: certFile && keyFile ? { certFile: resolve(certFile), keyFile: resolve(keyFile) } : null,
    allowedHosts: (env.ICY_RIBBON_HOSTS ?? '')
      .split(',')
      .map((name) => name.trim().toLowerCase())
      .filter(Boolean),
  };
}
