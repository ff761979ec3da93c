/** What a schema reads, as core hands it on: nobody changes it. */
export type ReadonlyDeep<Value> = Value extends object
  ? { readonly [Key in keyof Value]: ReadonlyDeep<Value[Key]> }
  : Value;
