/**
 * Reads what was written before a cup had one name: `mixId` in events, `paintId` in layers. What it was made of was a
 * `paintId` as well, beside parts of a blend or a recipe; it is a `materialId`.
 *
 * @param value anything that was read as JSON; it is left as it is
 */
export function withNewNames<Value>(value: Value): Value {
  if (Array.isArray(value)) return value.map(withNewNames) as Value;
  if (value === null || typeof value !== 'object') return value;
  const isMade = 'parts' in value || 'recipeId' in value;
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [newName(name, isMade), withNewNames(each)]),
  ) as Value;
}

/** Whether a text of JSON may hold old names; what someone wrote never looks like one, its quotes are escaped. */
export const holdsOldNames = (json: string): boolean =>
  json.includes('"mixId"') || json.includes('"paintId"') || json.includes('"mixIds"');

function newName(name: string, isMade: boolean): string {
  switch (name) {
    case 'mixId':
      return 'cupId';
    case 'mixIds':
      return 'cupIds';
    case 'fromMixId':
      return 'fromCupId';
    case 'paintId':
      return isMade ? 'materialId' : 'cupId';
    case 'paintIds':
      return 'materialIds';
    default:
      return name;
  }
}
