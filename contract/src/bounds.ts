import { z } from 'zod';

/** A JSON Schema, as far as it is read here. */
export interface JsonSchema {
  readonly type?: string;
  readonly properties?: Readonly<Record<string, JsonSchema>>;
  readonly required?: readonly string[];
  readonly additionalProperties?: JsonSchema | boolean;
  readonly propertyNames?: JsonSchema;
  readonly maxProperties?: number;
  readonly items?: JsonSchema;
  readonly prefixItems?: readonly JsonSchema[];
  readonly minItems?: number;
  readonly maxItems?: number;
  readonly anyOf?: readonly JsonSchema[];
  readonly oneOf?: readonly JsonSchema[];
  readonly allOf?: readonly JsonSchema[];
  readonly enum?: readonly unknown[];
  readonly const?: unknown;
  readonly minLength?: number;
  readonly maxLength?: number;
  readonly format?: string;
  readonly pattern?: string;
  readonly minimum?: number;
  readonly exclusiveMinimum?: number;
  readonly maximum?: number;
  readonly exclusiveMaximum?: number;
}

const written = new WeakMap<z.ZodType, JsonSchema>();

/** The JSON Schema of what goes in, written once. */
function inputSchemaOf(schema: z.ZodType): JsonSchema {
  const known = written.get(schema);
  if (known) return known;
  const made = z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }) as JsonSchema;
  written.set(schema, made);
  return made;
}

/** A list or table that holds more than it may. */
export interface Overfull {
  readonly path: string;
  readonly message: string;
}

/**
 * Looks for a list that is longer than its bound, before anything in it is looked at: a schema checks every item
 * of a list first and its length last, so that a small file of a hundred thousand wrong items would take minutes.
 *
 * @returns the first one found, with its path; undefined when all keep to their bounds
 */
export function overfull(schema: z.ZodType, value: unknown): Overfull | undefined {
  return look(inputSchemaOf(schema), value, '');
}

function look(schema: JsonSchema, value: unknown, path: string): Overfull | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  const branches = schema.anyOf ?? schema.oneOf;
  if (branches) return lookAtBranches(branches, value, path);
  const at = (key: string | number) => (path === '' ? String(key) : `${path}.${key}`);
  if (Array.isArray(value)) {
    if (schema.maxItems !== undefined && value.length > schema.maxItems) {
      return { path, message: `At most ${schema.maxItems} can stand here; these are ${value.length}.` };
    }
    const of = schema.items;
    if (!of || isPlain(of)) return undefined;
    return first(value.entries(), ([index, item]) => look(of, item, at(index)));
  }
  const entries = Object.entries(value);
  if (schema.maxProperties !== undefined && entries.length > schema.maxProperties) {
    return { path, message: `At most ${schema.maxProperties} can stand here; these are ${entries.length}.` };
  }
  const others = typeof schema.additionalProperties === 'object' ? schema.additionalProperties : undefined;
  return first(entries, ([key, each]) => {
    const of = Object.hasOwn(schema.properties ?? {}, key) ? schema.properties?.[key] : others;
    return of && look(of, each, at(key));
  });
}

/** Of several shapes, those that the value's own constants do not rule out; overfull only when it is in all of them. */
function lookAtBranches(branches: readonly JsonSchema[], value: object, path: string): Overfull | undefined {
  const fitting = branches.filter((branch) =>
    Object.entries(branch.properties ?? {}).every(
      ([key, of]) => of.const === undefined || (value as Record<string, unknown>)[key] === of.const,
    ),
  );
  let found: Overfull | undefined;
  for (const branch of fitting) {
    found = look(branch, value, path);
    if (!found) return undefined;
  }
  return found;
}

/** Holds no list of its own. */
const isPlain = (schema: JsonSchema): boolean =>
  !schema.anyOf && !schema.oneOf && schema.type !== 'object' && schema.type !== 'array';

function first<Item, Found>(
  items: Iterable<Item>,
  find: (item: Item) => Found | undefined,
): Found | undefined {
  for (const item of items) {
    const found = find(item);
    if (found) return found;
  }
  return undefined;
}

/** Where a schema sets no bound: paths of its lists, tables, strings and numbers that may be of any size. */
export function unboundedIn(schema: z.ZodType): string[] {
  return collect(inputSchemaOf(schema), '');
}

function collect(schema: JsonSchema, path: string): string[] {
  const inside = (key: string, of: JsonSchema) => collect(of, path === '' ? key : `${path}.${key}`);
  const branches = [...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])];
  if (branches.length > 0) return branches.flatMap((branch) => collect(branch, path));
  if (schema.const !== undefined || schema.enum) return [];
  switch (schema.type) {
    case 'array':
      return [
        ...(schema.maxItems === undefined && !schema.prefixItems ? [path] : []),
        ...(schema.items ? inside('[]', schema.items) : []),
        ...(schema.prefixItems ?? []).flatMap((item, index) => inside(String(index), item)),
      ];
    case 'object': {
      const table = schema.additionalProperties;
      return [
        ...(typeof table === 'object' && schema.maxProperties === undefined ? [path] : []),
        ...(typeof table === 'object' ? inside('{}', table) : []),
        ...Object.entries(schema.properties ?? {}).flatMap(([key, of]) => inside(key, of)),
      ];
    }
    case 'string':
      return isBoundedText(schema) ? [] : [path];
    case 'number':
    case 'integer':
      return isBoundedNumber(schema) ? [] : [path];
    default:
      return [];
  }
}

/** By its length, or by a pattern in which nothing repeats without end. */
function isBoundedText({ maxLength, pattern, format }: JsonSchema): boolean {
  if (maxLength !== undefined || format === 'uuid' || format === 'date') return true;
  return pattern !== undefined && /^\^.*\$$/.test(pattern) && !/[*+]|\{\d+,\}/.test(pattern);
}

function isBoundedNumber(schema: JsonSchema): boolean {
  const low = schema.minimum ?? schema.exclusiveMinimum;
  const high = schema.maximum ?? schema.exclusiveMaximum;
  return (
    low !== undefined &&
    high !== undefined &&
    low > -Number.MAX_SAFE_INTEGER &&
    high < Number.MAX_SAFE_INTEGER
  );
}
