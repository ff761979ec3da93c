import { withNewNames, type PiecePlan, type PlannedCup } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { amounts, type Amounts, type BlowerExit } from '@icy-ribbon/core/piece/amount';
import { applyFix, check, isPlanFix, type Finding, type PlanFix } from '@icy-ribbon/core/piece/check';
import { InputError } from '@icy-ribbon/core/base/error';
import { cupPaint, EMPTY_PLAN, findItem, type Plan, type PlanPaint } from '@icy-ribbon/core/piece/plan';
import { useDebounceFn, useManualRefHistory, useNow, useStorage } from '@vueuse/core';
import equal from 'fast-deep-equal';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { call } from '#api/client.ts';
import { ApiProblem } from '#api/problem.ts';
import { sayProblem } from '#notice/notices.ts';
import { plain } from '#worker/plain.ts';
import { checkedCup, plannedCup } from './checkedCup.ts';
import { costPerG, plannedPaint } from './plannedPaint.ts';
import { useEquipment } from '../equipment.ts';
import { usePiece } from '../piece/piece.ts';
import { coverage } from '@icy-ribbon/core/piece/cover';
import { usePourNumbers } from '../pourNumbers.ts';
import { useRecipes } from '../recipes.ts';
import { useShelf } from '../shelf.ts';
import { sendVersioned } from '../versioned.ts';

/** A plan with the cups it still waits for and what was seen to at the table. */
export interface PlanBody extends Plan {
  readonly planned: readonly PlannedCup[];
  readonly ticked: readonly string[];
}

const NOTHING: PlanBody = { ...EMPTY_PLAN, planned: [], ticked: [] };
/** An edit that is not on the server yet, kept in the browser in case it is closed. */
interface Draft {
  readonly pieceId: string;
  readonly version: number;
  readonly body: PlanBody;
}

const MOST_STEPS = 200;
const SAVE_AFTER_MS = 500;

/** The plan of the piece in hand: edited here, kept on the server, everything derived from it by core. */
export const usePlan = defineStore('plan', () => {
  const store = usePiece();
  const numbers = usePourNumbers();
  const shelf = useShelf();
  const recipes = useRecipes();
  const equipment = useEquipment();
  const now = useNow({ interval: 60_000 });

  const body = shallowRef<PlanBody>(NOTHING);
  const pieceId = ref<string | null>(null);
  const history = useManualRefHistory(body, {
    capacity: MOST_STEPS,
    setSource: (_, earlier) => put(earlier),
  });
  const selection = shallowRef<readonly string[]>([]);
  const unsaved = ref(false);
  /** Why the server did not take the plan as it is; it stays here until it is mended. */
  const refused = shallowRef<ApiProblem | null>(null);
  /** The version on the server that `body` was made from. */
  const version = ref(0);
  const draft = useStorage<Draft | null>('icy-ribbon.plan-draft', null, undefined, {
    shallow: true,
    serializer: {
      read: (text) => withNewNames(JSON.parse(text) as Draft | null),
      write: (kept) => JSON.stringify(kept),
    },
  });

  /** Takes the plan of the piece in hand; what was not kept yet of another is kept first. */
  async function open(): Promise<void> {
    await Promise.all([shelf.ensure(), recipes.ensure(), equipment.ensure()]);
    const piece = store.piece;
    if (!piece || piece.id === pieceId.value) return;
    await flush();
    pieceId.value = piece.id;
    selection.value = [];
    refused.value = null;
    adopt(piece.plan);
    const kept = draft.value;
    if (kept?.pieceId !== piece.id) return;
    // When the plan has moved on meanwhile, sending it shows both and asks.
    version.value = kept.version;
    put(kept.body);
    history.commit();
  }

  /** Takes a plan as it is on the server. */
  function adopt(plan: PiecePlan | null): void {
    body.value = plan ? bodyOf(plan) : NOTHING;
    version.value = plan?.version ?? 0;
    history.commit();
    history.clear();
  }

  /** What another tab or device planned is taken over, unless something is being changed here. */
  watch(
    () => store.piece?.plan,
    (plan) => {
      if (store.piece?.id !== pieceId.value || unsaved.value || !plan) return;
      if (plan.version > version.value) adopt(plan);
    },
  );

  /** Makes the plan another one, as one step that can be undone; the same again is no step. */
  function change(next: PlanBody): void {
    if (equal(next, body.value)) return;
    put(next);
    history.commit();
  }

  const edit = (map: (plan: Plan) => Plan) => change({ ...body.value, ...map(body.value) });

  function put(next: PlanBody): void {
    body.value = next;
    if (selection.value.some((id) => !findItem(next, id))) {
      selection.value = selection.value.filter((id) => findItem(next, id));
    }
    unsaved.value = true;
    if (pieceId.value) draft.value = { pieceId: pieceId.value, version: version.value, body: next };
    void saveSoon();
  }

  const saveSoon = useDebounceFn(() => flush(), SAVE_AFTER_MS);
  let saving: Promise<void> = Promise.resolve();

  /** Keeps what was changed; one write after the other. */
  function flush(): Promise<void> {
    saving = saving.then(write).catch(sayProblem);
    return saving;
  }

  async function write(): Promise<void> {
    const piece = store.piece;
    if (!unsaved.value || !piece || piece.id !== pieceId.value) return;
    unsaved.value = false;
    const sent = body.value;
    try {
      const plan = await sendVersioned(version.value, { ...sent }, (from) =>
        call(api.plans.put, {
          params: { pieceId: piece.id },
          body: { ...sent, version: from } as never,
        }),
      );
      refused.value = null;
      if (plan) {
        version.value = plan.version;
        if (!unsaved.value) draft.value = null;
        store.setPlan(plan);
      } else {
        draft.value = null;
        await store.reload();
        adopt(store.piece?.plan ?? null);
      }
    } catch (error) {
      unsaved.value = true;
      const wasTold = refused.value !== null;
      refused.value = error instanceof ApiProblem && error.fieldErrors.length > 0 ? error : null;
      if (!refused.value || !wasTold) throw error;
    }
  }

  /** Cups that wait to be mixed; one that was mixed meanwhile is a cup of the same id. */
  const planned = computed(() =>
    body.value.planned.filter((cup) => !store.cups.some(({ mix }) => mix.id === cup.id)),
  );

  const costs = computed(() => {
    const priced = (id: string) => shelf.materials.find((material) => material.id === id);
    const ofCups = store.cups.map(({ mix, state }) => {
      const parts = mix.ingredients.map((each, index) => ({
        mg: state.shownIngredientMg[index] ?? 0,
        material: priced(each.material.materialId),
      }));
      return [mix.id, costPerG(parts)] as const;
    });
    const ofPlanned = planned.value.map(
      (cup) => [cup.id, plannedPaint(cup, shelf.materials, recipes.find)?.costPerG ?? null] as const,
    );
    return new Map<string, number | null>([...ofCups, ...ofPlanned]);
  });

  const paints = computed<PlanPaint[]>(() => [
    ...store.paints.map(({ mix, state, colorHex }) => cupPaint(mix, state.properties, colorHex)),
    ...planned.value
      .map((cup) => plannedPaint(cup, shelf.materials, recipes.find))
      .filter((paint) => paint !== undefined),
  ]);

  const blowers = computed<BlowerExit[]>(() => equipment.blowers);

  /** The amounts, or why they cannot be worked out. */
  const reckoning = computed<{ amounts: Amounts | null; wrong: string | null }>(() => {
    if (!store.piece) return { amounts: null, wrong: null };
    try {
      return {
        amounts: amounts(store.piece.support, body.value, paints.value, blowers.value),
        wrong: null,
      };
    } catch (error) {
      if (error instanceof InputError) return { amounts: null, wrong: error.message };
      throw error;
    }
  });

  /** How much of the face the design covers, by the simple forecast alone. */
  const cover = computed(() => {
    if (!store.piece || !reckoning.value.amounts) return null;
    return coverage(store.piece.support, { plan: body.value, paints: paints.value, blowers: blowers.value });
  });

  const findings = computed<Finding[]>(() => {
    if (!store.piece || !reckoning.value.amounts) return [];
    const { technique } = store.piece;
    return check({
      technique,
      coverage: cover.value,
      covers: (forecast) => numbers.coverage(forecast, technique),
      aims: store.piece.aims,
      support: store.piece.support,
      plan: body.value,
      paints: paints.value,
      cups: [
        ...store.paints.map((cup) => checkedCup(cup, now.value)),
        ...planned.value.flatMap((cup) => plannedCup(paints.value.find(({ id }) => id === cup.id))),
      ],
      blowers: blowers.value,
      amounts: reckoning.value.amounts,
      ticked: body.value.ticked,
    });
  });

  function mend(fix: PlanFix): void {
    if (!isPlanFix(fix)) return;
    const baseId = paints.value.find((paint) => paint.role === 'base')?.id;
    edit((plan) => applyFix(plan, fix, { newId, baseId }));
  }

  const tick = (id: string) => change({ ...body.value, ticked: [...body.value.ticked, id] });

  const paint = (id: string) => paints.value.find((each) => each.id === id);
  const selected = computed(() =>
    selection.value.map((id) => findItem(body.value, id)).filter((item) => item !== undefined),
  );
  const select = (ids: readonly string[]) => {
    selection.value = ids;
  };

  return {
    body,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    selection,
    selected,
    select,
    unsaved,
    refused,
    open,
    change,
    edit,
    undo: history.undo,
    redo: history.redo,
    flush,
    planned,
    paints,
    paint,
    costs,
    blowers,
    reckoning,
    findings,
    cover,
    mend,
    tick,
  };
});

export const newId = (): string => crypto.randomUUID();

function bodyOf({ version, createdAt, updatedAt, ...plan }: PiecePlan): PlanBody {
  void version;
  void createdAt;
  void updatedAt;
  return plain(plan);
}
