export { orderHints } from './hints.ts';
export { mudOf, ORDER_RULES, type OrderLayer, type OrderRule } from './rules.ts';
export {
  MOST_LAYERS,
  orderCost,
  orderReasons,
  suggestOrder,
  type OrderAdvice,
  type OrderReason,
  type OrderWishes,
} from './suggest.ts';
