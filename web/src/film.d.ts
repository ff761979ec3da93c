/** The film's step, compiled: where the page fetches it. */
declare module '@icy-ribbon/core/film.wasm?url' {
  const url: string;
  export default url;
}
