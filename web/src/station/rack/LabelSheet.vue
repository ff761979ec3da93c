<script setup lang="ts">
import type { PieceSummary } from '@icy-ribbon/contract';
import { api } from '@icy-ribbon/contract/addresses';
import { stageOf } from '@icy-ribbon/core/paint/stage';
import { useStorage } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import QRCode from 'qrcode';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { allPages } from '#api/allPages.ts';
import { call } from '#api/client.ts';
import BareSelect from '#field/BareSelect.vue';
import NumberField from '#field/NumberField.vue';
import { attempt } from '#notice/useTask.ts';
import { useMoney } from '#store/money.ts';
import { usePieces } from '#store/pieces.ts';
import { useUnits } from '#store/units.ts';
import { dateWords, ROLE_LABELS, TECHNIQUE_LABELS } from '#words/general.ts';
import { supportWords } from '#words/support.ts';
import { LABEL_SHEETS, pagesOf, sheetMargins } from './parts/labelSheets.ts';

/** Labels for pieces and cups on common sheets, each with a code that opens its piece or cup. */
const route = useRoute();
const router = useRouter();
const pieces = usePieces();
const money = useMoney();
const units = useUnits();

const kind = computed(() => (route.query.of === 'cups' ? 'cups' : 'pieces'));
const all = shallowRef<PieceSummary[]>([]);
watch(
  kind,
  () =>
    attempt(async () => {
      all.value =
        kind.value === 'cups'
          ? await pieces.allHaving('paint')
          : await allPages((query) => call(api.pieces.list, { query }), 200);
    }),
  { immediate: true },
);
const chosen = computed(
  () =>
    new Set(
      String(route.query.pieces ?? '')
        .split(',')
        .filter(Boolean),
    ),
);

interface Label {
  readonly id: string;
  readonly title: string;
  readonly lines: readonly string[];
  readonly to: string;
}
const labels = computed<Label[]>(() =>
  kind.value === 'pieces'
    ? all.value
        .filter(({ id }) => chosen.value.has(id))
        .map((piece) => ({
          id: piece.id,
          title: piece.name,
          lines: [
            supportWords(piece.support, units),
            `${TECHNIQUE_LABELS[piece.technique]}, acrylic${piece.care.coats.length > 0 ? `, ${COAT[piece.care.coats.at(-1)!.kind]}` : ''}`,
            piece.pouredAt ? dateWords(piece.pouredAt) : '',
            piece.care.price?.askedCents ? money.show(piece.care.price.askedCents) : '',
          ].filter(Boolean),
          to: `/rack/${piece.id}`,
        }))
    : all.value
        .filter(({ id }) => chosen.value.size === 0 || chosen.value.has(id))
        .flatMap((piece) =>
          piece.mixes
            .filter(({ leftMg }) => leftMg > 0)
            .map((mix) => ({
              id: mix.id,
              title: mix.name,
              lines: [
                `${ROLE_LABELS[mix.role]}, ${units.show('mass', mix.leftMg)}`,
                `${mix.viscosityPaS.toPrecision(2)} Pa·s, ${stageOf(mix.viscosityPaS).name}`,
                mix.mixedAt ? `mixed ${dateWords(mix.mixedAt)}` : '',
                piece.name,
              ].filter(Boolean),
              to: `/mix/${piece.id}/scale/${mix.id}`,
            })),
        ),
);
const COAT = { varnish: 'varnished', resin: 'coated with resin', film: 'under a film' } as const;

const codes = ref(new Map<string, string>());
watch(
  labels,
  () =>
    attempt(async () => {
      const made = labels.value.map(
        async ({ id, to }) =>
          [id, await QRCode.toString(location.origin + to, { type: 'svg', margin: 0 })] as const,
      );
      codes.value = new Map(await Promise.all(made));
    }),
  { immediate: true },
);
const pictureOf = (id: string) =>
  codes.value.has(id) ? `data:image/svg+xml;utf8,${encodeURIComponent(codes.value.get(id)!)}` : undefined;

const sheetKey = useStorage('icy-ribbon.label-sheet', '70x37');
const sheet = computed(() => LABEL_SHEETS.find(({ key }) => key === sheetKey.value) ?? LABEL_SHEETS[0]);
const sheetWords = ({ widthMm, heightMm, columns, rows }: (typeof LABEL_SHEETS)[number]) =>
  `${units.showNumber('depth', widthMm)} × ${units.show('depth', heightMm)}, ${columns * rows} a sheet`;
const skip = ref<number | null>(0);
const pages = computed(() => pagesOf(labels.value, sheet.value, Math.round(skip.value ?? 0)));
const margins = computed(() => sheetMargins(sheet.value));
const print = () => window.print();

function choose(id: string): void {
  const next = new Set(chosen.value);
  if (next.has(id)) next.delete(id);
  else next.add(id);
  void router.replace({ query: { ...route.query, pieces: [...next].join(',') } });
}
</script>

<template>
  <main class="labels stacked gap-16">
    <header class="no-print">
      <h1>Labels</h1>
      <nav class="views" aria-label="Labels of">
        <RouterLink to="/labels" :aria-current="kind === 'pieces' ? 'page' : undefined">Pieces</RouterLink>
        <RouterLink to="/labels?of=cups" :aria-current="kind === 'cups' ? 'page' : undefined">
          Cups
        </RouterLink>
      </nav>
      <BareSelect
        v-model:value="sheetKey"
        label="Sheet"
        class="sheet-choice"
        :options="LABEL_SHEETS.map((each) => ({ value: each.key, label: sheetWords(each) }))"
      />
      <NumberField v-model="skip" label="Places used before" unit="" :digits="0" />
      <Button type="primary" :disabled="labels.length === 0" @click="print">Print, or save as PDF</Button>
    </header>
    <ul v-if="kind === 'pieces'" class="choose no-print">
      <li v-for="piece in all" :key="piece.id">
        <label>
          <input type="checkbox" :checked="chosen.has(piece.id)" @change="choose(piece.id)" />
          {{ piece.name }}
        </label>
      </li>
    </ul>
    <p v-if="labels.length === 0" class="soft no-print">
      {{ kind === 'pieces' ? 'Tick the pieces that get a label.' : 'No cup holds paint.' }}
    </p>
    <section
      v-for="(page, index) in pages"
      :key="index"
      class="page"
      :aria-label="`Sheet ${index + 1}`"
      :style="{
        width: `${margins.pageWidthMm}mm`,
        height: `${margins.pageHeightMm}mm`,
        padding: `${margins.topMm}mm ${margins.leftMm}mm`,
        gridTemplateColumns: `repeat(${sheet.columns}, ${sheet.widthMm}mm)`,
        gridAutoRows: `${sheet.heightMm}mm`,
      }"
    >
      <div v-for="(label, place) in page" :key="place" class="one stacked">
        <template v-if="label">
          <img
            v-if="pictureOf(label.id)"
            :src="pictureOf(label.id)"
            :alt="`Code that opens ${label.title}`"
          />
          <div>
            <strong>{{ label.title }}</strong>
            <p v-for="line in label.lines" :key="line">{{ line }}</p>
          </div>
        </template>
      </div>
    </section>
  </main>
</template>

<style scoped>
.labels {
  padding: 16px 24px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: end;
}

.sheet-choice {
  width: 220px;
}

.choose {
  columns: 4;
}

.page {
  display: grid;
  align-content: start;
  overflow: hidden;
  font-size: var(--type-note);
  line-height: 1.25;
  color: var(--ink);
  background: var(--bench);
  border: 1px solid var(--rule);
}

.one {
  grid-template-columns: auto minmax(0, 1fr);
  align-items: center;
  padding: 8px;
  overflow: hidden;
}

img {
  width: 64px;
  height: 64px;
}

@media print {
  .no-print {
    display: none;
  }

  .labels {
    display: block;
    padding: 0;
  }

  .page {
    border: 0;
    break-after: page;
  }
}
</style>
