import type Konva from 'konva';

/** What Konva tells of a press or a drag. */
export interface KonvaDrag {
  readonly target: Konva.Node;
  readonly evt: { readonly shiftKey?: boolean };
  cancelBubble: boolean;
}
