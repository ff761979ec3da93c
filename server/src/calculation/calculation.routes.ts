import { api } from '@icy-ribbon/contract';
import { findCalculation, listCalculations, runCalculation } from '@icy-ribbon/core/registry';
import { InputError } from '@icy-ribbon/core/base/error';
import type { Router } from 'express';
import { route } from '../http/route.ts';

export function calculationRoutes(router: Router): void {
  route(router, api.calculations.list, () => listCalculations());
  route(router, api.calculations.run, ({ params, body }) => {
    const calculation = findCalculation(params.name);
    if (calculation.isLong) {
      throw new InputError('name', `"${params.name}" may take minutes: run it on the bench, "npm run calc".`);
    }
    return runCalculation(calculation, body) as Record<string, unknown>;
  });
}
