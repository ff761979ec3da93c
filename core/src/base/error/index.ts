/**
 * Bad input to a calculation. `field` is the path of the offending value in the caller's own terms
 * ("parts.1.massG"), so that a screen can show the message where it belongs.
 */
export class InputError extends Error {
  readonly field: string;

  constructor(field: string, message: string) {
    super(message);
    this.name = 'InputError';
    this.field = field;
  }
}

/**
 * Throws unless `value` is a finite number above zero.
 *
 * @example requirePositive('massG', 12, 'The mass') // undefined
 */
export function requirePositive(field: string, value: number, what: string): void {
  if (!Number.isFinite(value) || value <= 0) {
    throw new InputError(field, `${what} must be a number above 0.`);
  }
}

/**
 * Throws unless `value` is a finite number of at least zero.
 *
 * @example requireNotNegative('massG', 0, 'The mass') // undefined
 */
export function requireNotNegative(field: string, value: number, what: string): void {
  if (!Number.isFinite(value) || value < 0) {
    throw new InputError(field, `${what} must be 0 or more.`);
  }
}
