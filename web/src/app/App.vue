<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { ConfigProvider, StyleProvider } from 'ant-design-vue';
import { computed, defineAsyncComponent, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import RibbonBand, { type RibbonCup } from '../drawing/RibbonBand.vue';
import { useOptionNames } from '../field/optionNames.ts';
import { sayProblem } from '../notice/notices.ts';
import { useShortcuts } from '../shortcut/shortcuts.ts';
import { conflict } from '../store/versioned.ts';
import { useAppearance } from '../store/appearance.ts';
import { useDevices } from '../store/devices.ts';
import { usePiece } from '../store/piece/piece.ts';
import { useImports } from '../store/imports.ts';
import { useIsPhone, useIsTouched } from '../store/viewport.ts';
import { useWaits } from '../store/waits.ts';
import { windowFit } from '@icy-ribbon/core/paint/stage';
import AppRail from './AppRail.vue';
import AppStops from './AppStops.vue';
import AppTop from './AppTop.vue';
import SendingNote from './SendingNote.vue';
import WaitingNote from './WaitingNote.vue';
import CupTray from './CupTray.vue';
import DamagedNote from './DamagedNote.vue';
import { loadLater } from './loadLater.ts';
import { useDoing } from './useDoing.ts';
import { useStations } from './useStations.ts';
import { lastingStyles } from '../theme/styleCache.ts';
import { componentTheme, textScale } from '../theme/theme.ts';

/** Dialogs are fetched when they are first needed. */
const ShortcutHelp = defineAsyncComponent(() => import('../shortcut/ShortcutHelp.vue'));
const ImportProgress = defineAsyncComponent(() => import('./ImportProgress.vue'));
const ConflictDialog = defineAsyncComponent(() => import('./ConflictDialog.vue'));

const appearance = useAppearance();
const isPhone = useIsPhone();
const isTouched = useIsTouched();
const store = usePiece();
const imports = useImports();
const devices = useDevices();
// Waits ring on every page.
useWaits();
useOptionNames();
useDoing();
const route = useRoute();
const router = useRouter();
const helpOpen = ref(false);
const styles = lastingStyles();

const theme = computed(() =>
  componentTheme(appearance.palette, appearance.dark, isTouched.value, textScale()),
);
const routePieceId = computed(() => route.params.pieceId as string | undefined);

/** The address says which piece is in hand; without one, the last piece stays in hand. */
watch(
  routePieceId,
  async (id) => {
    const wanted = id ?? store.inHandId;
    if (!wanted || store.piece?.id === wanted) return;
    try {
      await store.open(wanted);
    } catch (error) {
      if (id) {
        sayProblem(error);
        await router.replace('/today');
      }
    }
  },
  { immediate: true },
);

/** A database that cannot be read leaves one thing to do. */
onMounted(async () => {
  await devices.ensure();
  loadLater();
  if (devices.isDamaged) await router.replace({ name: 'safekeeping' });
});

/** Another tab or device may have gone on with the piece. */
useEventListener(window, 'focus', () => {
  store.reload().catch(sayProblem);
});

const ready = computed(() => !routePieceId.value || store.piece?.id === routePieceId.value);
const showsRibbon = computed(() => Boolean(route.meta.ribbon && store.piece && ready.value));

/** At Pour, a cup that was poured out leaves the ribbon. */
const beads = computed(() =>
  route.meta.station === 'pour'
    ? store.paints.filter(({ state }) => state.phase !== 'mixed' || state.leftMg > 0)
    : store.paints,
);

const ribbonCups = computed<RibbonCup[]>(() =>
  beads.value.map(({ mix, state, colorHex }) => ({
    id: mix.id,
    name: mix.name,
    colorHex,
    viscosityPaS: state.properties.viscosityPaS,
    spreadLn: state.spreadLn,
    fit: store.piece
      ? windowFit(store.piece.technique, mix.role, state.properties.viscosityPaS, store.piece.aims)
      : undefined,
  })),
);

const { links } = useStations();

function goAlong(step: number): void {
  const open = links.value.filter(({ isOpen }) => isOpen);
  const here = open.findIndex(({ name }) => name === route.meta.station);
  const next = open[(here + step + open.length) % open.length];
  if (next) void router.push(next.to);
}

useShortcuts('Everywhere', [
  { keys: ['?'], shown: '?', does: 'Show the keys of this screen', run: () => (helpOpen.value = true) },
  { keys: [']'], shown: ']', does: 'Next station', run: () => goAlong(1) },
  { keys: ['['], shown: '[', does: 'Station before', run: () => goAlong(-1) },
]);
</script>

<template>
  <StyleProvider :cache="styles"
    ><ConfigProvider :theme="theme">
      <div class="frame">
        <a class="skip" href="#bench">To the bench</a>
        <AppRail v-if="!isPhone" class="rail" />
        <AppTop class="top" @help="helpOpen = true" />
        <div class="away">
          <WaitingNote />
          <SendingNote />
          <ImportProgress v-if="imports.job" />
          <DamagedNote v-if="ready && routePieceId" />
        </div>
        <RibbonBand
          v-if="showsRibbon && store.piece"
          class="ribbon"
          :cups="ribbonCups"
          :technique="store.piece.technique"
          :aims="store.piece.aims"
          :slim="isPhone"
        />
        <div id="bench" class="bench" tabindex="-1">
          <RouterView v-if="ready" :key="routePieceId ?? 'none'" />
        </div>
        <CupTray class="tray" />
        <AppStops v-if="isPhone" class="rail" />
      </div>
      <ShortcutHelp v-if="helpOpen" v-model:open="helpOpen" />
      <ConflictDialog v-if="conflict" /> </ConfigProvider
  ></StyleProvider>
</template>

<style scoped>
.frame {
  display: grid;
  height: 100%;
  grid-template-columns: 120px minmax(0, 1fr) auto;
  grid-template-rows: auto auto auto minmax(0, 1fr);
  grid-template-areas:
    'rail top top'
    'rail away away'
    'rail ribbon tray'
    'rail bench tray';
}

.skip {
  position: absolute;
  left: -9999px;
}

.skip:focus {
  left: 8px;
  top: 8px;
  z-index: 10;
  padding: 8px 16px;
  background: var(--bench);
}

.rail {
  grid-area: rail;
}

.top {
  grid-area: top;
}

.away {
  grid-area: away;
}

.alarm-bar {
  padding: 8px 24px;
  color: var(--bench);
  background: var(--alarm);
}

.ribbon {
  grid-area: ribbon;
  padding: 0 16px;
  border-bottom: 1px solid var(--rule);
  background: var(--bench);
}

.bench {
  grid-area: bench;
  position: relative;
  overflow: auto;
  background: var(--bench);
}

.bench:focus {
  outline: none;
}

.tray {
  grid-area: tray;
}

@media print {
  .frame {
    display: block;
    height: auto;
  }

  .rail,
  .top,
  .ribbon,
  .tray {
    display: none;
  }

  .bench {
    overflow: visible;
  }
}

@media (width < 600px), (height < 480px) {
  .frame {
    grid-template-columns: minmax(0, 1fr) auto;
    grid-template-rows: auto auto auto minmax(0, 1fr) auto;
    grid-template-areas:
      'top tray'
      'away away'
      'ribbon ribbon'
      'bench bench'
      'rail rail';
    padding: env(safe-area-inset-top) env(safe-area-inset-right) 0 env(safe-area-inset-left);
  }
}

@media (600px <= width < 900px) and (height >= 480px) {
  .frame {
    grid-template-columns: 112px minmax(0, 1fr) auto;
  }
}

/* Turned, every line counts. */
@media (height < 480px) {
  .ribbon {
    display: none;
  }
}
</style>
