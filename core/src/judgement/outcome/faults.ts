/** What can be seen to have gone wrong in a poured piece. Common practice, no published source. */
export const FAULTS = [
  {
    kind: 'not-moving',
    label: 'Colors did not move',
    seen: 'Paint stayed where it was laid although air was blown on it.',
  },
  { kind: 'sunk', label: 'A color sank', seen: 'A color that was laid is hardly to be seen.' },
  {
    kind: 'washed-out',
    label: 'Washed out, white blob',
    seen: 'The activator covers the middle or pales the petals.',
  },
  { kind: 'no-lacing', label: 'No lacing in a petal', seen: 'A petal of flat color without net or cells.' },
  {
    kind: 'dented',
    label: 'Middle dented or stuck',
    seen: 'The air dug down to the support; the middle stayed behind.',
  },
  { kind: 'mud', label: 'Mud', seen: 'Colors ran together into a dull one.' },
  { kind: 'specks', label: 'Cells too tiny, specks', seen: 'Swarms of specks instead of cells.' },
  { kind: 'warped', label: 'Cells warped', seen: 'Cells are drawn out into streaks.' },
  { kind: 'broken-film', label: 'Film breaks up', seen: 'Paint went grainy or tore into islands.' },
  { kind: 'cracks', label: 'Cracks', seen: 'Cracks at the rim or in the middle.' },
  { kind: 'pinholes', label: 'Pinholes', seen: 'Little round holes from bubbles.' },
  { kind: 'crust', label: 'Crust bits', seen: 'Bits of dried skin in the paint.' },
  { kind: 'moved-overnight', label: 'Moved overnight', seen: 'The design drifted while it dried.' },
  { kind: 'grainy', label: 'Grainy', seen: 'Coarse particles stand out.' },
  { kind: 'wisps', label: 'Wisps not wanted', seen: 'Thin threads of paint stand out where none was meant.' },
  {
    kind: 'wells',
    label: 'Wells between flowers',
    seen: 'Pools of base stand between the flowers and drown their rims.',
  },
  { kind: 'takes-over', label: 'One color takes over', seen: 'A color covers far more than was laid of it.' },
  {
    kind: 'patch-shows',
    label: 'Patch that shows',
    seen: 'A repaired place stands out from what is round it.',
  },
  { kind: 'bare-corner', label: 'Bare corner', seen: 'A corner or an edge is not covered.' },
  { kind: 'fish-eyes', label: 'Top coat fish-eyes', seen: 'The top coat draws back into rings.' },
] as const;

export type FaultKind = (typeof FAULTS)[number]['kind'];
export const FAULT_KINDS = FAULTS.map((fault) => fault.kind) as [FaultKind, ...FaultKind[]];

/**
 * A fault by its kind.
 *
 * @example fault('mud').label // 'Mud'
 */
export function fault(kind: FaultKind): (typeof FAULTS)[number] {
  return FAULTS.find((each) => each.kind === kind)!;
}
