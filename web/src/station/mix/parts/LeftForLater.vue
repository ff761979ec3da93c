<script setup lang="ts">
import { Button } from 'ant-design-vue';

/** What was left for later is all there is left to do: it is left out for good, or another cup comes first. */
defineProps<{
  /** Something is in the cup already. */
  canLeaveOut: boolean;
  nextCup: string | undefined;
}>();
const emit = defineEmits<{ leaveOut: []; goOn: [] }>();
</script>

<template>
  <p class="soft">
    <Button v-if="canLeaveOut" @click="emit('leaveOut')">Leave it out</Button>
    {{ canLeaveOut ? 'Then the cup is what is in it.' : 'Nothing is in it yet.' }}
    <Button type="link" @click="emit('goOn')">
      {{ nextCup ? `Later: on to ${nextCup}` : 'Later: back to the cups' }}
    </Button>
  </p>
</template>
