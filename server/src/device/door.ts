import { createServer, type Server } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import type { Door as DoorState } from '@icy-ribbon/contract';
import type { Express } from 'express';
import type { Config } from '../config.ts';
import { certificateFor, fingerprintOf } from './certificate.ts';
import type { Devices } from './devices.ts';

/** What other devices on the network come in by: a second address of the same studio, open only while the artist wants it. */
export interface Door {
  state(): DoorState;
  /** Where it listens; undefined while it is closed. */
  readonly port: number | undefined;
  /** Opens or closes it, and keeps that for the next start. @throws Error with a sentence when it cannot be opened */
  set(isOpen: boolean, isSecure: boolean): Promise<void>;
  /** As it was left. */
  openAsKept(app: Express): Promise<void>;
  close(): Promise<void>;
}

/** Addresses of this machine on its networks; IPv4, as people type it. */
export function networkAddresses(): { readonly network: string; readonly address: string }[] {
  return Object.entries(networkInterfaces()).flatMap(([network, each = []]) =>
    each
      .filter(({ internal, family }) => !internal && family === 'IPv4')
      .map(({ address }) => ({ network, address })),
  );
}

/** @param certificatePath where a certificate that is made is kept */
export function makeDoor(config: Config, devices: Devices, certificatePath: string): Door {
  let served: Express | undefined;
  let open: { server: Server; port: number; isSecure: boolean; fingerprint: string | null } | undefined;

  async function listen(isSecure: boolean): Promise<void> {
    if (!served) throw new Error('The server is just starting: try again.');
    const addresses = networkAddresses().map(({ address }) => address);
    const certificate = isSecure ? await certificateFor(addresses, config.tls, certificatePath) : null;
    const server = certificate ? createSecureServer(certificate, served) : createServer(served);
    const port = await new Promise<number>((resolve, reject) => {
      server.once('error', (error: NodeJS.ErrnoException) =>
        reject(
          error.code === 'EADDRINUSE'
            ? new Error(`Port ${config.doorPort} is taken: set ICY_RIBBON_DOOR_PORT to another one.`)
            : error,
        ),
      );
      server.listen(config.doorPort, '0.0.0.0', () => {
        const address = server.address();
        resolve(typeof address === 'object' && address ? address.port : config.doorPort);
      });
    });
    open = { server, port, isSecure, fingerprint: certificate && fingerprintOf(certificate) };
  }

  async function shut(): Promise<void> {
    const closing = open;
    open = undefined;
    if (!closing) return;
    closing.server.closeAllConnections();
    await new Promise((resolve) => closing.server.close(resolve));
  }

  return {
    get port() {
      return open?.port;
    },
    state() {
      const isGiven = !config.isLoopback;
      const [scheme, port] = open ? [open.isSecure ? 'https' : 'http', open.port] : ['http', config.port];
      const isOpen = open !== undefined || isGiven;
      return {
        ...{ isOpen, isGiven: isGiven && !open },
        ...{ isSecure: open?.isSecure ?? false, fingerprint: open?.fingerprint ?? null },
        addresses: isOpen
          ? networkAddresses().map(({ network, address }) => ({
              network,
              url: `${scheme}://${address}:${port}/`,
            }))
          : [],
      };
    },
    async set(isOpen, isSecure) {
      if (!isOpen) {
        await shut();
        return devices.setDoor({ isOpen, isSecure });
      }
      // What cannot be kept is not opened: the next start would not know of it.
      await devices.setDoor({ isOpen, isSecure });
      await shut();
      try {
        await listen(isSecure);
      } catch (error) {
        await devices.setDoor({ isOpen: false, isSecure }).catch(() => undefined);
        throw error;
      }
    },
    async openAsKept(app) {
      served = app;
      if (devices.door.isOpen) await listen(devices.door.isSecure);
    },
    close: shut,
  };
}
