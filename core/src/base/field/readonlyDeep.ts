/** A value that nothing may change, all the way down: the form in which core passes on what a schema has read. */
export type ReadonlyDeep<Value> = Value extends object
  ? { readonly [Key in keyof Value]: ReadonlyDeep<Value[Key]> }
  : Value;
