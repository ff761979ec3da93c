import { api } from '@icy-ribbon/contract';
import { findCalculation, listCalculations, runCalculation } from '@icy-ribbon/core/registry';
import type { Router } from 'express';
import { route } from '../http/route.ts';

export function calculationRoutes(router: Router): void {
  route(router, api.calculations.list, () => listCalculations());
  route(
    router,
    api.calculations.run,
    ({ params, body }) => runCalculation(findCalculation(params.name), body) as Record<string, unknown>,
  );
}
