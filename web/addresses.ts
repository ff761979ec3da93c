import { runnerImport, type Plugin } from 'vite';

const ADDRESSES = /[\\/]contract[\\/]src[\\/]addresses\.ts$/;

/** Puts in what the module of addresses gives, so that pages do not bring the schemas that it is worked out from. */
export function addresses(): Plugin {
  return {
    name: 'addresses',
    async load(id) {
      if (!ADDRESSES.test(id)) return null;
      const { module } = await runnerImport<{ readonly api: object }>(id, {
        resolve: { conditions: ['source'] },
      });
      return `export const api = ${JSON.stringify(module.api)};`;
    },
  };
}
