import { api, type Backup, type Safekeeping } from '@icy-ribbon/contract';
import type { Router } from 'express';
import { route } from '../http/route.ts';

/** What the page of backups can ask of a studio, also while its database cannot be read. */
export interface Keeper {
  show(): Promise<Safekeeping>;
  backUp(): Promise<Backup>;
  restore(name: string): Promise<{ restored: Backup; before: Backup | null }>;
  chooseSecond(path: string | null): Promise<void>;
}

export function safekeepingRoutes(router: Router, keeper: Keeper): void {
  route(router, api.safekeeping.show, () => keeper.show());
  route(router, api.safekeeping.backUp, () => keeper.backUp());
  route(router, api.safekeeping.restore, ({ params }) => keeper.restore(params.name));
  route(router, api.safekeeping.chooseSecond, async ({ body }) => {
    await keeper.chooseSecond(body.path);
    return keeper.show();
  });
}
