import type { SupportSize } from '@icy-ribbon/core/piece/support';
import { computed, type Ref } from 'vue';
import { useShelf } from '../store/shelf.ts';
import { useUnits } from '../store/units.ts';
import { supportWords } from '../words/support.ts';
import { emptySupport, type SupportDraft } from './supportDraft.ts';

/** Stands in the list for a support whose size is typed on the spot. */
export const NEW_SUPPORT = 'new';

/** A support of the shelf, or one whose size is typed where it is asked for. */
export function useSupportChoice(supportId: Ref<string>, draft: Ref<SupportDraft>) {
  const shelf = useShelf();
  const units = useUnits();

  const options = computed(() => [
    ...shelf.supports.map((support) => ({
      value: support.id,
      label: `${support.name}, ${units.show('length', support.sideDepthMm)} deep`,
    })),
    { value: NEW_SUPPORT, label: 'Enter another support …' },
  ]);
  const isNew = computed(() => supportId.value === NEW_SUPPORT);

  /** As it is chosen or typed; undefined while its size is not known. */
  const support = computed<SupportSize | undefined>(() => {
    if (!isNew.value) return shelf.supports.find(({ id }) => id === supportId.value);
    const { kind, shape, widthMm, heightMm, sideDepthMm } = draft.value;
    if (!widthMm || !heightMm || sideDepthMm === null) return undefined;
    return { kind, shape, widthMm, heightMm: shape === 'round' ? widthMm : heightMm, sideDepthMm };
  });

  /** Its id; a typed one comes onto the shelf first, by its size where it has no name. */
  async function keep(): Promise<string> {
    if (!isNew.value) return supportId.value || (shelf.supports[0]?.id ?? '');
    const name = draft.value.name.trim() || (support.value ? supportWords(support.value, units) : '');
    const { id } = await shelf.addSupport({ ...draft.value, name } as never);
    supportId.value = id;
    draft.value = emptySupport();
    return id;
  }

  return { options, isNew, support, keep };
}
