<script setup lang="ts">
import { computed } from 'vue';
import { typeset } from '../words/typeset.ts';

/** A law as one writes it by hand. */
const props = defineProps<{ law: string }>();
const TAGS = { word: 'span', quantity: 'i', raised: 'sup', lowered: 'sub' } as const;
const pieces = computed(() => typeset(props.law));
</script>

<template>
  <span class="set"
    ><component :is="TAGS[piece.style]" v-for="(piece, index) in pieces" :key="index">{{
      piece.text
    }}</component></span
  >
</template>

<style scoped>
sup,
sub {
  font-size: var(--type-note);
  line-height: 0;
}
</style>
