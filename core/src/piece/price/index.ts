export {
  PRICE_RULES,
  reckon,
  workedHours,
  type PieceCosts,
  type PriceRule,
  type Reckoning,
} from './reckon.ts';
