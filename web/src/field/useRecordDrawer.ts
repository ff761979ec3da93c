import equal from 'fast-deep-equal';
import { computed, ref, shallowRef, type Ref, type ShallowRef } from 'vue';

export interface RecordDrawer<Item, Draft> {
  /** What is changed: a record, a new one, or nothing. */
  readonly target: ShallowRef<Item | 'new' | null>;
  readonly draft: Ref<Draft>;
  /** Why it could not be kept. */
  readonly problem: Ref<unknown>;
  /** It was asked to close while there were changes. */
  readonly asking: Ref<boolean>;
  /** Begins with a record as a draft, or with an empty one. */
  begin(target: Item | 'new', draft: Draft): void;
  /** Keeps it; what goes wrong stands at its fields and nothing typed is lost. */
  keep(): Promise<void>;
  /** Closes it; where something was changed, it asks first. */
  leave(): void;
  /** Closes it whatever was changed. */
  throwAway(): void;
  /** Goes on after all. */
  goOn(): void;
}

const copyOf = <Draft>(draft: Draft): Draft => JSON.parse(JSON.stringify(draft)) as Draft;

/**
 * A record that is entered or changed in a drawer beside its list.
 *
 * @param empty a draft to begin with
 * @param save writes a draft; what it throws is shown at the fields
 */
export function useRecordDrawer<Item extends object, Draft extends object>(
  empty: Draft,
  save: (target: Item | 'new', draft: Draft) => Promise<unknown>,
): RecordDrawer<Item, Draft> {
  const target: ShallowRef<Item | 'new' | null> = shallowRef(null);
  const draft = ref(empty) as Ref<Draft>;
  const before = shallowRef(empty);
  const problem = ref<unknown>(null);
  const asking = ref(false);
  const changed = computed(() => !equal(draft.value, before.value));

  function throwAway(): void {
    target.value = null;
    asking.value = false;
  }

  return {
    target,
    draft,
    problem,
    asking,
    throwAway,
    begin(next, from) {
      target.value = next;
      before.value = copyOf(from);
      draft.value = copyOf(from);
      problem.value = null;
      asking.value = false;
    },
    async keep() {
      if (!target.value) return;
      problem.value = null;
      try {
        await save(target.value, draft.value);
        throwAway();
      } catch (error) {
        problem.value = error;
      }
    },
    leave() {
      if (changed.value) asking.value = true;
      else throwAway();
    },
    goOn() {
      asking.value = false;
    },
  };
}
