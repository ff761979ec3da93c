/** Most layers a film of a plan has: what two cores move in real time. */
export const MOST_LAYERS = 9;

/**
 * Puts sequences of paints (each from the bottom up) into one order of layers that keeps every one of them, with as few layers as it finds:
 * a film's layers keep their order everywhere. When there would be too many, a paint goes into the nearest layer of its own.
 *
 * @returns the paint of each layer, and for each sequence the layer of each of its paints
 * @example commonLayers([['a', 'b'], ['b', 'c']]) // { layers: ['a', 'b', 'c'], places: [[0, 1], [1, 2]] }
 */
export function commonLayers(
  sequences: readonly (readonly string[])[],
  most = MOST_LAYERS,
): { readonly layers: readonly string[]; readonly places: readonly (readonly number[])[] } {
  const layers: { readonly cupId: string }[] = [];
  const found = sequences.map((sequence) => {
    let after = -1;
    return sequence.map((cupId, index) => {
      const same = layers.findIndex((layer, at) => at > after && layer.cupId === cupId);
      if (same >= 0 && isWorthIt(sequence, index, same)) {
        after = same;
        return layers[same]!;
      }
      const any = layers.findLastIndex((layer) => layer.cupId === cupId);
      if (layers.length >= most && any >= 0) return layers[any]!;
      const made = { cupId };
      layers.splice(after + 1, 0, made);
      after += 1;
      return made;
    });
  });
  return {
    layers: layers.map(({ cupId }) => cupId),
    places: found.map((sequence) => sequence.map((layer) => layers.indexOf(layer))),
  };

  /** Jumping ahead must not skip what the sequence wants next. */
  function isWorthIt(sequence: readonly string[], index: number, to: number): boolean {
    const rest = sequence.slice(index + 1);
    const missed = layers.slice(0, to).filter(({ cupId }) => rest.includes(cupId));
    return (
      missed.every(({ cupId }) => layers.slice(to + 1).some((layer) => layer.cupId === cupId)) ||
      layers.length >= most
    );
  }
}
