/** The part of jstat that is used; it ships no types. */
declare module 'jstat' {
  const jstat: {
    readonly studentt: { inv(p: number, freedom: number): number };
    readonly chisquare: { inv(p: number, freedom: number): number };
  };
  export default jstat;
}
