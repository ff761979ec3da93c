/** As far as it is used here. */
declare module 'libheif-js/wasm-bundle.js' {
  interface Pixels {
    data: Uint8ClampedArray;
    width: number;
    height: number;
  }
  interface Picture {
    get_width(): number;
    get_height(): number;
    display(into: Pixels, done: (shown: Pixels | null) => void): void;
  }
  const libheif: { HeifDecoder: new () => { decode(file: Uint8Array): Picture[] } };
  export default libheif;
}
