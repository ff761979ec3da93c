export const MARK_KINDS = ['stroke', 'area', 'to-edge', 'cut-out', 'petal'] as const;
/**
 * "stroke": a line as wide as the brush; "area": what a closed line holds; "to-edge": what lies between a line and the nearer
 * edge; "cut-out": everything but what a closed line holds; "petal": a petal from its root to its tip.
 */
export type MarkKind = (typeof MARK_KINDS)[number];
