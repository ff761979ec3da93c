<script setup lang="ts">
import { InputError } from '@icy-ribbon/core/base/error';
import { reckon, workedHours } from '@icy-ribbon/core/piece/price';
import { paintedArea } from '@icy-ribbon/core/piece/support';
import { AutoComplete, Button, DatePicker, Input } from 'ant-design-vue';
import dayjs from 'dayjs';
import { computed, onMounted, ref, watch } from 'vue';
import FieldRow from '#field/FieldRow.vue';
import MoneyField from '#field/MoneyField.vue';
import NumberField from '#field/NumberField.vue';
import { say } from '#notice/notices.ts';
import { attempt } from '#notice/useTask.ts';
import { cupCostCents } from '#store/cupCost.ts';
import { useMoney } from '#store/money.ts';
import { usePiece } from '#store/piece/piece.ts';
import { usePriceRule } from '#store/priceRule.ts';
import { useRack } from '#store/rack.ts';
import { useShelf } from '#store/shelf.ts';
import { dateWords } from '#words/general.ts';

/** What a piece cost, what is asked for it, where it is shown, and whom it went to. */
const store = usePiece();
const shelf = useShelf();
const rack = useRack();
const money = useMoney();
const rule = usePriceRule();
onMounted(() => attempt(() => shelf.ensure()));

/** Paint that was laid, by the prices on the shelf as they are now. */
const paint = computed(() => {
  let [cents, unknown] = [0, 0];
  for (const { mix, state } of store.paints) {
    const whole = cupCostCents(mix, shelf.materials);
    const target = mix.ingredients.reduce((sum, { targetMg }) => sum + targetMg, 0);
    const laid = Math.max(0, state.actualMg - state.leftMg);
    if (whole === undefined) unknown += 1;
    else if (target > 0) cents += (whole * laid) / target;
  }
  return { cents: Math.round(cents), unknown };
});
const recorded = computed(() => {
  const { piece } = store;
  if (!piece) return 0;
  const times = [
    ...piece.mixes.flatMap(({ additions }) => additions.map(({ at }) => at)),
    ...piece.events.map(({ at }) => at),
    ...piece.care.filter(({ kind }) => kind === 'coat' || kind === 'work').map(({ at }) => at),
  ];
  return workedHours(times.map((at) => Date.parse(at)));
});

interface Draft {
  hours: number | null;
  paintCents: number | null;
  supportCents: number | null;
  coatCents: number | null;
  otherCents: number | null;
  askedCents: number | null;
}
const draft = ref<Draft>({
  ...{ hours: null, paintCents: null, supportCents: 0, coatCents: 0, otherCents: 0, askedCents: null },
});
watch(
  [() => store.piece?.id, () => store.care.price?.id, () => shelf.loaded],
  () => {
    const known = store.care.price?.data;
    draft.value = known
      ? { ...known }
      : {
          ...draft.value,
          hours: Math.round(100 * recorded.value) / 100,
          paintCents: paint.value.cents,
        };
  },
  { immediate: true },
);

const answer = computed(() => {
  const { support } = store.piece!;
  const { hours, paintCents, supportCents, coatCents, otherCents } = draft.value;
  try {
    return {
      reckoning: reckon(
        {
          hours: hours ?? 0,
          paintCents: paintCents ?? 0,
          supportCents: supportCents ?? 0,
          coatCents: coatCents ?? 0,
          otherCents: otherCents ?? 0,
        },
        rule.rule(),
        paintedArea(support).faceCm2,
      ),
      wrong: '',
    };
  } catch (error) {
    if (error instanceof InputError) return { reckoning: null, wrong: error.message };
    throw error;
  }
});

const takeBack = (id: string) => () => attempt(() => store.takeBackCare(id));
const keepPrice = () =>
  attempt(async () => {
    const { hours, paintCents, supportCents, coatCents, otherCents, askedCents } = draft.value;
    const id = await store.noteCare('price', {
      hours: hours ?? 0,
      paintCents: paintCents ?? 0,
      supportCents: supportCents ?? 0,
      coatCents: coatCents ?? 0,
      otherCents: otherCents ?? 0,
      askedCents: askedCents ?? answer.value.reckoning?.askedCents ?? null,
    });
    say('The price is kept.', takeBack(id));
  });

const show = ref({ name: '', opensOn: null as string | null, hanging: '' });
watch(
  () => store.care.show?.id,
  () => {
    const known = store.care.show?.data;
    show.value = { name: known?.name ?? '', opensOn: known?.opensOn ?? null, hanging: known?.hanging ?? '' };
  },
  { immediate: true },
);
const shows = computed(() => {
  const known = new Map(rack.items.flatMap(({ care }) => (care.show ? [[care.show.name, care.show]] : [])));
  return [...known.values()];
});
function takeShow(name: string): void {
  const known = shows.value.find((each) => each.name === name);
  show.value = { ...show.value, name, opensOn: known?.opensOn ?? show.value.opensOn };
}
const keepShow = () =>
  attempt(async () => {
    const id = await store.noteCare('show', { ...show.value });
    await rack.load();
    say(show.value.name === '' ? 'It goes to no show.' : `It goes to "${show.value.name}".`, takeBack(id));
  });

const sale = ref({ to: '', cents: null as number | null });
const sell = () =>
  attempt(async () => {
    const cents = sale.value.cents ?? store.care.price?.data.askedCents ?? 0;
    const id = await store.noteCare('sale', { to: sale.value.to, cents });
    say('Sold.', takeBack(id));
  });
</script>

<template>
  <div v-if="store.piece" class="sell stacked gap-16">
    <section aria-labelledby="reckoning">
      <h2 id="reckoning">What it cost</h2>
      <form class="fields" @submit.prevent="keepPrice">
        <MoneyField
          v-model="draft.paintCents"
          label="Paint"
          :hint="paint.unknown > 0 ? `${paint.unknown} without a price` : `laid: ${money.show(paint.cents)}`"
        />
        <MoneyField v-model="draft.supportCents" label="Support" />
        <MoneyField v-model="draft.coatCents" label="Coats" />
        <MoneyField v-model="draft.otherCents" label="Hanging and other" />
        <NumberField
          v-model="draft.hours"
          label="Hours"
          unit="h"
          :hint="`logged: ${recorded.toFixed(1)} h`"
        />
        <MoneyField v-model="rule.typed.centsPerHour" label="An hour" />
        <NumberField v-model="rule.typed.factor" label="Costs count" unit="×" />
        <NumberField v-model="rule.typed.wearPercent" label="Wear" unit="%" :digits="0" />
      </form>
      <fieldset class="choice" aria-label="The price goes by">
        <label v-for="by in ['hours', 'area'] as const" :key="by" :class="{ on: rule.typed.by === by }">
          <input v-model="rule.typed.by" type="radio" name="rule" :value="by" />{{
            by === 'hours' ? 'hours and costs' : 'area of the face'
          }}
        </label>
      </fieldset>
      <MoneyField
        v-if="rule.typed.by === 'area'"
        v-model="rule.typed.centsPerCm2"
        label="A square centimeter"
      />
      <p v-if="answer.wrong" class="alarm" role="alert">{{ answer.wrong }}</p>
      <p v-else-if="answer.reckoning">
        Materials {{ money.show(answer.reckoning.materialCents) }}, wear
        {{ money.show(answer.reckoning.wearCents) }}, work {{ money.show(answer.reckoning.workCents) }}:
        {{ money.show(answer.reckoning.costCents) }} in all. By the rule it is asked for
        <strong>{{ money.show(answer.reckoning.askedCents) }}</strong>.
      </p>
      <div class="row">
        <MoneyField v-model="draft.askedCents" label="Asked" hint="empty: by the rule" />
        <Button type="primary" :disabled="answer.wrong !== ''" @click="keepPrice">Keep the price</Button>
      </div>
    </section>
    <section aria-labelledby="show">
      <h2 id="show">Show</h2>
      <form class="fields three" @submit.prevent="keepShow">
        <FieldRow label="Name of the show" for="show-name">
          <AutoComplete
            id="show-name"
            :value="show.name"
            :options="shows.map(({ name }) => ({ value: name }))"
            @update:value="takeShow(String($event ?? ''))"
          />
        </FieldRow>
        <FieldRow label="Opens on" for="show-opens">
          <DatePicker
            id="show-opens"
            :value="show.opensOn ? dayjs(show.opensOn) : undefined"
            format="D MMM YYYY"
            @update:value="show.opensOn = $event ? dayjs($event as never).format('YYYY-MM-DD') : null"
          />
        </FieldRow>
        <FieldRow label="How it hangs" for="show-hanging">
          <Input id="show-hanging" v-model:value="show.hanging" placeholder="wire, at the door" />
        </FieldRow>
        <Button html-type="submit">Keep the show</Button>
      </form>
    </section>
    <section aria-labelledby="sold">
      <h2 id="sold">Sold</h2>
      <p v-if="store.care.sale">
        {{ dateWords(store.care.sale.at) }} for {{ money.show(store.care.sale.data.cents)
        }}{{ store.care.sale.data.to && ` to ${store.care.sale.data.to}` }}.
        <Button type="link" size="small" @click="attempt(() => store.takeBackCare(store.care.sale!.id))">
          Take back
        </Button>
      </p>
      <form v-else class="fields three" @submit.prevent="sell">
        <FieldRow label="To" for="sold-to">
          <Input id="sold-to" v-model:value="sale.to" autocomplete="off" />
        </FieldRow>
        <MoneyField v-model="sale.cents" label="For" hint="empty: as asked" />
        <Button html-type="submit">It is sold</Button>
      </form>
    </section>
    <p class="row">
      <RouterLink :to="`/labels?pieces=${store.piece.id}`">Its label</RouterLink>
      <RouterLink :to="`/rack/${store.piece.id}/record`">Its record on one page</RouterLink>
    </p>
  </div>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
}

h2 {
  font-size: var(--type-text);
}

.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 12px;
  align-items: end;
}

.three {
  grid-template-columns: repeat(3, minmax(0, 1fr));
}

.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: end;
}
</style>
