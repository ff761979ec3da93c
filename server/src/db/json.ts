declare const holds: unique symbol;

/** The text of a JSON column, with the type of what it holds. */
export type JsonText<Value> = string & { readonly [holds]: Value };

/** A value as its column keeps it. */
export const toJson = <Value>(value: Value): JsonText<Value> => JSON.stringify(value) as JsonText<Value>;

/** A JSON column as a value; where it is damaged, its text, which no schema takes for a record. */
export function fromJson<Value>(text: JsonText<Value>): Value {
  try {
    return JSON.parse(text) as Value;
  } catch {
    return text as unknown as Value;
  }
}
