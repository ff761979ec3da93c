import { NO_AIMS, type Aims, type Technique } from '@icy-ribbon/core/paint/stage';
import { useSessionStorage } from '@vueuse/core';
import { emptySupport } from '#field/supportDraft.ts';
import { USUAL_COLORS } from '#store/needs.ts';

/** A piece while it is entered. */
export const emptyStart = () => ({
  name: '',
  technique: 'dutch' as Technique,
  supportId: '',
  support: emptySupport(),
  colors: USUAL_COLORS as number | null,
  aims: NO_AIMS as Aims,
});

/** What was typed of the next piece; it outlives a look at another station. */
export const useStartDraft = () =>
  useSessionStorage('icy-ribbon.start', emptyStart(), { mergeDefaults: true });
