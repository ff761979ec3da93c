/** A place on the support, as shares of its face from the top left. */
export interface FacePlace {
  readonly x: number;
  readonly y: number;
}

/** A part of the face that something was done to: around a spot, with its radius in mm, or along a stroke. */
export type Mark =
  | { readonly kind: 'spot'; readonly at: FacePlace; readonly radiusMm: number }
  | { readonly kind: 'stroke'; readonly from: FacePlace; readonly to: FacePlace };

export type Spot = Extract<Mark, { readonly kind: 'spot' }>;
