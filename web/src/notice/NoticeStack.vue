<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { Button } from 'ant-design-vue';
import { computed, ref } from 'vue';
import { dismiss, notices, type Notice } from './notices.ts';

/**
 * What was done or went wrong, the newest first: it lies over the name of the piece, where nothing is to be pressed. A
 * screen that fills the display takes it along.
 */
const shown = computed(() => notices.at(-1));
const others = computed(() => notices.length - 1);

const filling = ref<Element | null>(null);
useEventListener(document, 'fullscreenchange', () => (filling.value = document.fullscreenElement));

async function act(notice: Notice): Promise<void> {
  dismiss(notice.id);
  await notice.action?.run();
}
</script>

<template>
  <Teleport :to="filling" :disabled="filling === null">
    <div class="stack" role="status" aria-live="polite">
      <div v-if="shown" :key="shown.id" :class="['notice', shown.kind]">
        <span class="text">{{ shown.text }}</span>
        <span v-if="others > 0" class="soft">{{ others }} more</span>
        <Button v-if="shown.action" type="link" size="small" @click="act(shown)">
          {{ shown.action.label }}
        </Button>
        <button class="plain-button close" aria-label="Close this notice" @click="dismiss(shown.id)">
          ×
        </button>
      </div>
    </div>
  </Teleport>
</template>

<style scoped>
.stack {
  position: absolute;
  z-index: 1200;
  top: 0;
  left: 0;
  width: 100%;
}

.notice {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 44px;
  padding: 2px 4px 2px 16px;
  line-height: 1.3;
  background: var(--bench);
  border: 1px solid var(--ice-deep);
  border-left: 4px solid var(--water);
}

.text {
  flex: 1;
}

.notice.problem {
  border-left-color: var(--alarm);
}

.close {
  padding: 4px 12px;
  font-size: var(--type-lead);
}
</style>
