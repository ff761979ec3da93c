<script setup lang="ts">
/** What a screen will show once there is something, drawn in outline, with words on how to begin. */
defineProps<{ kind: 'cups' | 'wall' | 'chart' | 'support' | 'pile' }>();
</script>

<template>
  <div class="empty stacked gap-12">
    <svg width="144" height="96" viewBox="0 0 144 96" aria-hidden="true">
      <template v-if="kind === 'cups'">
        <path d="M14 22L24 84H62L72 22M84 46L90 84H112L118 46M122 58L126 84H138L142 58" />
        <path class="ground" d="M4 84H142" />
      </template>
      <template v-else-if="kind === 'wall'">
        <path d="M12 34H56V78H12ZM74 16H112V78H74Z" />
        <path d="M134 78a12 12 0 0 1 -10 -22a12 12 0 0 1 20 6" />
        <path class="ground" d="M2 79H142" />
      </template>
      <template v-else-if="kind === 'chart'">
        <path class="ground" d="M16 8V84H138" />
        <path d="M34 70a5 5 0 1 0 .1 0M62 52a5 5 0 1 0 .1 0M88 56a5 5 0 1 0 .1 0M116 28a5 5 0 1 0 .1 0" />
      </template>
      <template v-else-if="kind === 'support'">
        <path class="ground" d="M36 8H108V88H36Z" />
        <path d="M72 30C86 30 93 38 92 49C91 60 84 66 71 65C58 64 52 57 53 47C54 37 61 30 72 30Z" />
      </template>
      <template v-else>
        <path d="M52 84V20H92V84M52 62H92M52 40H92" />
        <path class="ground" d="M36 84H108" />
      </template>
    </svg>
    <p class="soft"><slot /></p>
  </div>
</template>

<style scoped>
.empty {
  justify-items: start;
  max-width: 480px;
  padding: 24px 0;
}

path {
  fill: none;
  stroke: var(--edge);
  stroke-width: 1.5;
  stroke-dasharray: 5 4;
}

.ground {
  stroke-dasharray: none;
}
</style>
