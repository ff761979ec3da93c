<script setup lang="ts">
import { Button } from 'ant-design-vue';
import { computed, defineAsyncComponent } from 'vue';
import NoticeStack from '../notice/NoticeStack.vue';
import { TECHNIQUE_LABELS } from '../words/general.ts';
import { supportWords } from '../words/support.ts';
import { useAppearance } from '../store/appearance.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useUnits } from '../store/units.ts';
import { useIsPhone } from '../store/viewport.ts';

const UnitSwitch = defineAsyncComponent(() => import('./UnitSwitch.vue'));

const emit = defineEmits<{ help: [] }>();
const store = usePiece();
const units = useUnits();
const appearance = useAppearance();
const isPhone = useIsPhone();

const size = computed(() => {
  const support = store.piece?.support;
  return support ? supportWords(support, units) : '';
});

/** Where the next thing is done. */
const next = computed(() => ({
  name: store.progress.station === 'results' ? 'result' : store.progress.station,
  params: { pieceId: store.piece?.id ?? '' },
}));
</script>

<template>
  <header>
    <div class="what">
      <p v-if="store.piece" class="piece">
        <RouterLink :to="{ name: 'result', params: { pieceId: store.piece.id } }" class="name">
          {{ store.piece.name }}
        </RouterLink>
        <span class="soft">{{ TECHNIQUE_LABELS[store.piece.technique] }}, {{ size }}</span>
        <RouterLink class="next" :to="next">{{ store.progress.next }}</RouterLink>
      </p>
      <p v-else class="piece soft">No piece in hand. Start one at Today.</p>
      <NoticeStack />
    </div>
    <!-- On a phone they lie behind the last stop. -->
    <template v-if="!isPhone">
      <UnitSwitch />
      <Button type="text" :aria-pressed="appearance.dark" @click="appearance.toggle()">
        {{ appearance.dark ? 'Light' : 'Dark' }}
      </Button>
      <Button type="text" aria-label="Keys of this screen" @click="emit('help')">Keys ?</Button>
    </template>
  </header>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: 4px;
  padding: 4px 12px 4px 24px;
  min-height: 52px;
  background: var(--paper);
  border-bottom: 1px solid var(--rule);
}

.what {
  flex: 1;
  position: relative;
  display: grid;
  align-content: center;
  min-width: 0;
  min-height: 44px;
}

.piece {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
  min-width: 0;
}

.name {
  font-size: var(--type-lead);
  font-weight: var(--weight-strong);
  color: var(--ink);
  text-decoration: none;
}

.next {
  color: var(--brass-ink);
  text-underline-offset: 4px;
}

@media (width < 600px), (height < 480px) {
  header {
    padding: 2px 8px 2px 16px;
  }

  .piece {
    gap: 0 12px;
    line-height: 1.3;
  }

  .piece .soft {
    display: none;
  }

  .name {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
}
</style>
