import { useElementSize, useEventListener } from '@vueuse/core';
import { select } from 'd3-selection';
import { zoom, zoomIdentity, type ZoomBehavior } from 'd3-zoom';
import { computed, onBeforeUnmount, shallowRef, watch, type Ref } from 'vue';

export interface View {
  readonly width: Ref<number>;
  readonly height: Ref<number>;
  /** Pixels to a unit of what is shown. */
  readonly scale: Ref<number>;
  /** Where the top left of what is shown stands, in pixels. */
  readonly origin: Ref<{ readonly x: number; readonly y: number }>;
  zoomBy(factor: number): void;
  fitAll(): void;
}

/**
 * A view on something of a known size: all of it to begin with; wheel, two fingers and dragging bring one closer.
 *
 * @param size width and height of what is shown, in its own unit
 * @param options.mayDrag whether a press that began like this may move the view
 */
export function useView(
  frame: Ref<HTMLElement | null>,
  size: () => { readonly width: number; readonly height: number },
  options: {
    readonly marginPx: number;
    readonly mostZoom: number;
    readonly mayDrag?: (event: MouseEvent | TouchEvent) => boolean;
  },
): View {
  const { width, height } = useElementSize(frame);
  const transform = shallowRef(zoomIdentity);
  const behavior = shallowRef<ZoomBehavior<HTMLElement, unknown> | null>(null);
  const zoomed = computed(() => transform.value.k > 1);

  const isPinch = (event: Event) => 'touches' in event && (event as TouchEvent).touches.length > 1;
  function mayBegin(event: MouseEvent | TouchEvent | WheelEvent): boolean {
    if (event.type === 'wheel' || isPinch(event)) return true;
    if ('button' in event && event.button !== 0) return false;
    return zoomed.value && (options.mayDrag?.(event) ?? true);
  }

  watch(
    frame,
    (element) => {
      if (!element) return;
      behavior.value = zoom<HTMLElement, unknown>()
        .scaleExtent([1, options.mostZoom])
        .extent(() => [
          [0, 0],
          [width.value, height.value],
        ])
        .filter(mayBegin)
        .on('zoom', (event: { transform: typeof zoomIdentity }) => (transform.value = event.transform));
      select(element).call(behavior.value).on('dblclick.zoom', null);
    },
    { immediate: true, flush: 'post' },
  );
  /** What is shown never leaves its frame. */
  watch([width, height, behavior], () => {
    behavior.value?.translateExtent([
      [0, 0],
      [width.value, height.value],
    ]);
  });
  onBeforeUnmount(() => {
    if (frame.value) select(frame.value).on('.zoom', null);
  });
  // At rest the wheel still belongs to the view, not to the page below it.
  useEventListener(frame, 'wheel', (event: WheelEvent) => event.preventDefault(), { passive: false });

  const fit = computed(() =>
    Math.max(
      0.05,
      Math.min(
        (width.value - 2 * options.marginPx) / size().width,
        (height.value - 2 * options.marginPx) / size().height,
      ),
    ),
  );

  return {
    width,
    height,
    scale: computed(() => fit.value * transform.value.k),
    origin: computed(() => {
      const { k, x, y } = transform.value;
      const [left, top] = [
        (width.value - size().width * fit.value) / 2,
        (height.value - size().height * fit.value) / 2,
      ];
      return { x: x + k * left, y: y + k * top };
    }),
    zoomBy(factor) {
      if (frame.value) behavior.value?.scaleBy(select(frame.value), factor);
    },
    fitAll() {
      if (frame.value) behavior.value?.transform(select(frame.value), zoomIdentity);
    },
  };
}
