<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { dismiss, notices, type Notice } from './notices.ts';

async function act(notice: Notice): Promise<void> {
  dismiss(notice.id);
  await notice.action?.run();
}
</script>

<template>
  <div class="stack" role="status" aria-live="polite">
    <div v-for="notice in notices" :key="notice.id" :class="['notice', notice.kind]">
      <span>{{ notice.text }}</span>
      <Button v-if="notice.action" type="link" size="small" @click="act(notice)">
        {{ notice.action.label }}
      </Button>
      <button class="plain-button close" aria-label="Close this notice" @click="dismiss(notice.id)">×</button>
    </div>
  </div>
</template>

<style scoped>
.stack {
  position: fixed;
  z-index: 1200;
  left: 50%;
  bottom: 20px;
  transform: translateX(-50%);
  display: grid;
  gap: 8px;
  width: max-content;
  max-width: min(640px, 90vw);
}

.notice {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 8px 8px 8px 16px;
  background: var(--bench);
  border: 1px solid var(--ice-deep);
  border-left: 4px solid var(--water);
}

.notice.problem {
  border-left-color: var(--alarm);
}

.close {
  padding: 4px 12px;
  font-size: 18px;
}
</style>
