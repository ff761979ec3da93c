<script setup lang="ts">
import { NO_AIMS, type AimKey, type Aims } from '@icy-ribbon/core/paint/stage';
import { computed } from 'vue';
import { attempt } from '../notice/useTask.ts';
import { useNeeds } from '../store/needs.ts';
import { usePiece } from '../store/piece/piece.ts';
import AimFields from './AimFields.vue';

/** What the artist wants of the piece in hand: windows, dose, amounts, order, air and the search for causes follow it. */
defineProps<{ only?: readonly AimKey[] }>();

const store = usePiece();
const needs = useNeeds();
const aims = computed({
  get: () => store.piece?.aims ?? NO_AIMS,
  set: (next: Aims) => void attempt(() => needs.refitting(() => store.aim(next))),
});
</script>

<template>
  <AimFields v-model="aims" :technique="store.piece?.technique ?? 'dutch'" :only="only" />
</template>
