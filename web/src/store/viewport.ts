import { useMediaQuery } from '@vueuse/core';
import type { Ref } from 'vue';

/** A phone, upright or turned; style sheets say the same. */
export const PHONE = '(width < 600px), (height < 480px)';

/** Whether the page is on a phone. */
export const useIsPhone = (): Readonly<Ref<boolean>> => useMediaQuery(PHONE);

/** Whether it is pressed with fingers: everything is made as high as a wet glove wants it. */
export const useIsTouched = (): Readonly<Ref<boolean>> => useMediaQuery('(pointer: coarse)');
