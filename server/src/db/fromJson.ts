/** A JSON column as a value; where it is damaged, its text, which no schema takes for a record. */
export function fromJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return text;
  }
}
