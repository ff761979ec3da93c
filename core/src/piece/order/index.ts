export { orderHints, type OrderHint } from './hints.ts';
export { mudOf, ORDER_RULES, type OrderLayer, type OrderRule, type OrderRuleName } from './rules.ts';
export {
  orderCost,
  orderReasons,
  suggestOrder,
  type OrderAdvice,
  type OrderReason,
  type OrderWishes,
} from './suggest.ts';
