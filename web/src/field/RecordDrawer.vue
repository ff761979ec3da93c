<script setup lang="ts">
import { Button, Drawer } from 'ant-design-vue';
import type { RecordDrawer } from './useRecordDrawer.ts';

/** The drawer a record is entered in; its form is the slot. Typed things are not thrown away by a slip. */
const props = defineProps<{
  drawer: RecordDrawer<object, object>;
  /** Id of the form. */
  form: string;
  title: string;
  width?: number;
}>();

/** Escape closes a list that is open in the form first. */
function escaped(): void {
  if (!document.querySelector('.ant-select-open, .ant-picker-focused')) props.drawer.leave();
}
</script>

<template>
  <Drawer
    :open="drawer.target.value !== null"
    :title="title"
    :width="width ?? 400"
    :keyboard="false"
    @close="drawer.leave()"
  >
    <div @keydown.esc.stop="escaped">
      <form :id="form" @submit.prevent="drawer.keep()">
        <slot />
      </form>
    </div>
    <template #footer>
      <div
        v-if="drawer.asking.value"
        class="asking flowing centered"
        role="alert"
        @keydown.esc.stop="drawer.goOn()"
      >
        <p>What you typed is not kept yet.</p>
        <Button type="primary" html-type="submit" :form="form">Keep it</Button>
        <Button @click="drawer.goOn()">Go on</Button>
        <Button danger @click="drawer.throwAway()">Throw it away</Button>
      </div>
      <template v-else>
        <Button type="primary" html-type="submit" :form="form">Keep it</Button>
        <Button type="text" @click="drawer.leave()">Leave it</Button>
      </template>
    </template>
  </Drawer>
</template>

<style scoped>
.asking p {
  flex: 1 0 100%;
}
</style>
