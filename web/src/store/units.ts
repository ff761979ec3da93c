import { convert } from '@icy-ribbon/core/base/unit';
import { useStorage } from '@vueuse/core';
import { defineStore } from 'pinia';
import { CHOICES, DIGITS, type ChosenUnits, type ShownQuantity } from './unitChoices.ts';

/** The units the artist reads and types; everything inside stays in mg, ml, mm and °C. */
export const useUnits = defineStore('units', () => {
  const chosen = useStorage<ChosenUnits>('icy-ribbon.units', {
    mass: 'g',
    volume: 'ml',
    length: 'cm',
    temperature: 'C',
  });

  const unitOf = (quantity: ShownQuantity) =>
    quantity === 'depth' ? (chosen.value.length === 'in' ? 'in' : 'mm') : chosen.value[quantity];
  const baseOf = (quantity: ShownQuantity) => CHOICES[quantity === 'depth' ? 'length' : quantity].base;

  /** A stored value (mg, ml, mm, °C) in the chosen unit. */
  function fromBase(quantity: ShownQuantity, value: number): number {
    return convert(value, baseOf(quantity), unitOf(quantity));
  }

  function toBase(quantity: ShownQuantity, value: number): number {
    return convert(value, unitOf(quantity), baseOf(quantity));
  }

  function digits(quantity: ShownQuantity, fine = false): number {
    const unit = unitOf(quantity);
    const [coarse, exact] = DIGITS[unit];
    const more = quantity === 'depth' && unit === 'in' ? 1 : 0;
    return (fine ? exact : coarse) + more;
  }

  /** "30.0 g": number and unit, which never break apart; `fine` adds the digits that matter at the scale. */
  function show(quantity: ShownQuantity, value: number, fine = false): string {
    return `${showNumber(quantity, value, fine)}\u00a0${unitLabel(quantity)}`;
  }

  function showNumber(quantity: ShownQuantity, value: number, fine = false): string {
    const number = fromBase(quantity, value);
    // A kitchen scale tells tenths of a gram: hundredths are for the small amounts that are weighed drop by drop.
    const shown = number.toFixed(digits(quantity, fine && !(quantity === 'mass' && Math.abs(number) >= 10)));
    return (quantity === 'length' ? String(Number(shown)) : shown).replace('-', '−');
  }

  function unitLabel(quantity: ShownQuantity): string {
    const unit = unitOf(quantity);
    return quantity === 'temperature' ? `°${unit}` : unit;
  }

  return { chosen, fromBase, toBase, digits, show, showNumber, unitLabel };
});
