<script setup lang="ts">
import type { Shelf } from '@icy-ribbon/contract';
import { fallLine, GAP_MM, lyingIn } from '@icy-ribbon/core/piece/care';
import { computed } from 'vue';
import HungPhoto from '#drawing/HungPhoto.vue';
import PlanPicture from '#field/PlanPicture.vue';
import { useRack, type OnRack } from '#store/rack.ts';
import { lifeWords, sideWords } from '#words/care.ts';
import { useUnits } from '#store/units.ts';

/** A shelf seen from the front and a little from above, its pieces lying on it to scale. */
const props = defineProps<{ shelf: Shelf; pxPerMm: number }>();

const rack = useRack();
const units = useUnits();

/** How much of the depth is seen from where one stands. */
const TILT = 0.36;
/** A side is seen nearly whole. */
const SIDE = 0.9;

interface Lies extends OnRack {
  readonly left: number;
  readonly width: number;
  readonly depth: number;
  readonly side: number;
  readonly isTurned: boolean;
  readonly drift: string;
}

const slots = computed(() => {
  let at = 0;
  return props.shelf.slots.map((slot) => {
    const left = at * props.pxPerMm;
    let x = at + GAP_MM / 2;
    at += slot.widthMm;
    const pieces = rack.lyingAt(props.shelf.id, slot.id).map((each): Lies => {
      const { support } = each.piece;
      const way = lyingIn(support, { freeMm: Infinity, depthMm: props.shelf.depthMm });
      const isTurned = way?.isTurned ?? false;
      const [front, back] = isTurned
        ? [support.heightMm, support.widthMm]
        : [support.widthMm, support.heightMm];
      const lies = {
        ...each,
        left: x * props.pxPerMm,
        width: front * props.pxPerMm,
        depth: back * props.pxPerMm * TILT,
        side: Math.max(3, support.sideDepthMm * props.pxPerMm * SIDE),
        isTurned,
        drift: driftWords(each),
      };
      x += front + GAP_MM;
      return lies;
    });
    return { slot, left, width: slot.widthMm * props.pxPerMm, pieces };
  });
});
const shelfPx = computed(
  () => props.shelf.slots.reduce((sum, { widthMm }) => sum + widthMm, 0) * props.pxPerMm,
);
/** Words under a piece reach as far as the next piece, no farther than reads well. */
const MOST_WORDS_PX = 220;
const lying = computed(() => {
  const all = slots.value.flatMap(({ pieces }) => pieces);
  return all.map((each, index) => ({
    ...each,
    room: Math.min(MOST_WORDS_PX, (all[index + 1]?.left ?? shelfPx.value) - each.left),
  }));
});
/** The shelf and, in front, as much as the thickest side takes. */
const surface = computed(
  () => props.shelf.depthMm * props.pxPerMm * TILT + Math.max(0, ...lying.value.map(({ side }) => side)) + 4,
);

/** From here on a drift is seen, mm. */
const SEEN_MM = 2;
function driftWords({ piece: { care, drying }, life }: OnRack): string {
  if (!care.level || !drying || !['wet', 'skin'].includes(life.stage)) return '';
  const { slopeMmPerM, directionDeg } = fallLine(care.level);
  const mm = slopeMmPerM * drying.driftMmPerSlope;
  return mm < SEEN_MM ? '' : `drifts ${units.show('depth', mm)} to the ${sideWords(directionDeg)}`;
}
</script>

<template>
  <section class="shelf" :aria-label="shelf.name" :style="{ width: `${shelfPx}px` }">
    <div class="surface" :style="{ height: `${surface}px` }">
      <span
        v-for="{ slot, left } in slots.slice(1)"
        :key="slot.id"
        class="divider"
        :style="{ left: `${left}px` }"
      ></span>
      <RouterLink
        v-for="each in lying"
        :key="each.piece.id"
        :to="`/rack/${each.piece.id}`"
        class="piece"
        :aria-label="`${each.piece.name}, ${lifeWords(each.life, rack.nowMs)}`"
        :style="{ left: `${each.left}px`, width: `${each.width}px` }"
      >
        <span class="face" :style="{ height: `${each.depth}px` }">
          <span
            class="flat"
            :style="{
              width: `${each.width}px`,
              height: `${each.depth / TILT}px`,
              transform: `scaleY(${TILT})`,
            }"
          >
            <span
              :style="
                each.isTurned
                  ? {
                      display: 'block',
                      transform: `rotate(90deg) translateY(-${each.width}px)`,
                      transformOrigin: '0 0',
                    }
                  : {}
              "
            >
              <HungPhoto
                v-if="each.piece.photo"
                :photo="each.piece.photo"
                :support="each.piece.support"
                :width="each.piece.support.widthMm * pxPerMm"
                alt=""
              />
              <PlanPicture
                v-else
                :piece-id="each.piece.id"
                :version="each.piece.version"
                :width="each.piece.support.widthMm * pxPerMm"
                alt=""
              />
            </span>
          </span>
        </span>
        <span class="side" :style="{ height: `${each.side}px` }"></span>
      </RouterLink>
    </div>
    <div class="edge">
      <span
        v-for="each in lying"
        :key="each.piece.id"
        class="band"
        :style="{ left: `${each.left}px`, width: `${each.width}px` }"
      >
        <span :style="{ width: `${100 * each.life.share}%` }"></span>
      </span>
      <span
        v-for="{ slot, left, width } in slots"
        :key="slot.id"
        class="slot"
        :style="{ left: `${left}px`, width: `${width}px` }"
        >{{ slot.name }}</span
      >
    </div>
    <ul>
      <li
        v-for="each in lying"
        :key="each.piece.id"
        :style="{ left: `${each.left}px`, width: `${each.room}px` }"
      >
        <strong>{{ each.piece.name }}</strong>
        <span class="soft">{{ lifeWords(each.life, rack.nowMs) }}</span>
        <span v-if="each.drift" class="look">{{ each.drift }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.shelf {
  max-width: 100%;
}

.surface {
  position: relative;
  background: var(--ice);
  border-top: 1px solid var(--rule);
}

.divider {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 1px;
  background: var(--rule);
}

.piece {
  position: absolute;
  bottom: 4px;
  display: block;
}

.face {
  display: block;
  overflow: hidden;
}

.flat {
  display: block;
  transform-origin: 0 0;
}

.side {
  display: block;
  background: var(--paper);
  border: 1px solid var(--edge);
}

.edge {
  position: relative;
  height: 28px;
  background: var(--ice-deep);
  border-bottom: 2px solid var(--edge);
}

.slot {
  position: absolute;
  bottom: 2px;
  padding: 0 8px;
  overflow: hidden;
  font-size: var(--type-note);
  white-space: nowrap;
  text-overflow: ellipsis;
}

.band {
  position: absolute;
  top: 0;
  height: 4px;
  background: var(--bench);
}

.band > span {
  display: block;
  height: 100%;
  background: var(--water);
}

ul {
  position: relative;
  height: 108px;
  margin: 4px 0 0;
  overflow: hidden;
}

li {
  position: absolute;
  top: 0;
  display: grid;
  padding-right: 8px;
  font-size: var(--type-note);
}
</style>
