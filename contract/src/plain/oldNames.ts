/**
 * Renames what older versions wrote. A cup was a `mixId` in events and a `paintId` in layers: both are `cupId` now. A
 * `paintId` in a blend or beside a recipe was a material: that is `materialId` now.
 *
 * @param value anything read from JSON; a renamed copy is returned
 */
export function withNewNames<Value>(value: Value): Value {
  if (Array.isArray(value)) return value.map(withNewNames) as Value;
  if (value === null || typeof value !== 'object') return value;
  const isMade = 'parts' in value || 'recipeId' in value;
  return Object.fromEntries(
    Object.entries(value).map(([name, each]) => [newName(name, isMade), withNewNames(each)]),
  ) as Value;
}

/** Whether JSON text may use old names. Text that the artist typed never matches: its quotes are escaped. */
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
