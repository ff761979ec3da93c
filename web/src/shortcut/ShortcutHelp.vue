<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { Modal } from 'ant-design-vue';
import { shortcutGroups } from './shortcuts.ts';

const open = defineModel<boolean>('open', { required: true });

/** Wherever the focus is, Escape closes the help. */
useEventListener(window, 'keydown', (event) => {
  if (event.key === 'Escape') open.value = false;
});
</script>

<template>
  <Modal v-model:open="open" title="Keys of this screen" :footer="null" :width="860">
    <div class="groups">
      <section v-for="group in shortcutGroups" :key="group.screen">
        <h3>{{ group.screen }}</h3>
        <dl>
          <template v-for="shortcut in group.shortcuts" :key="shortcut.shown">
            <dt>
              <kbd>{{ shortcut.shown }}</kbd>
            </dt>
            <dd>{{ shortcut.does }}</dd>
          </template>
        </dl>
      </section>
    </div>
  </Modal>
</template>

<style scoped>
.groups {
  columns: 2;
  column-gap: 32px;
}

section {
  padding-bottom: 16px;
}

h3,
dt {
  break-after: avoid;
}

dl {
  display: grid;
  grid-template-columns: 132px 1fr;
  gap: 6px 12px;
  margin: 8px 0 0;
}

kbd {
  padding: 1px 8px;
  font-family: inherit;
  background: var(--ice);
  border-bottom: 2px solid var(--edge);
}

@media (width < 800px) {
  .groups {
    columns: 1;
  }
}
</style>
