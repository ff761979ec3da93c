/** The little of js-quantities that the unit tests use as an oracle. */
declare module 'js-quantities' {
  interface Quantity {
    readonly scalar: number;
    to(unit: string): Quantity;
  }
  export default function Quantities(value: number, unit: string): Quantity;
}
