<script setup lang="ts">
import type { Invitation } from '@icy-ribbon/contract';
import { useNow } from '@vueuse/core';
import QRCode from 'qrcode';
import { computed, ref, watch } from 'vue';

/** A code for one device: to be photographed by it, or typed. */
const props = defineProps<{ invitation: Invitation }>();

const pictures = ref<readonly { url: string; picture: string }[]>([]);
watch(
  () => props.invitation.urls,
  async (urls) => {
    pictures.value = await Promise.all(
      urls.map(async (url) => ({ url, picture: await QRCode.toDataURL(url, { margin: 2, scale: 6 }) })),
    );
  },
  { immediate: true },
);

const now = useNow({ interval: 1000 });
const left = computed(() => {
  const seconds = Math.max(0, Math.round((Date.parse(props.invitation.until) - now.value.getTime()) / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
});
const spaced = computed(() => props.invitation.code.replace(/^(.{4})/, '$1 '));
const typed = (url: string) => url.replace(/\?.*$/, '');
</script>

<template>
  <div class="join" role="group" aria-label="Code for another device">
    <figure v-for="{ url, picture } in pictures" :key="url">
      <img :src="picture" :alt="`Square code that leads to ${typed(url)}`" width="200" height="200" />
      <figcaption>
        Point its camera here, or type <span class="numeral">{{ typed(url) }}</span>
      </figcaption>
    </figure>
    <div>
      <p class="soft">Code, for one device, once</p>
      <p class="code numeral">{{ spaced }}</p>
      <p class="soft" role="timer">good for {{ left }} more</p>
    </div>
  </div>
</template>

<style scoped>
.join {
  display: flex;
  flex-wrap: wrap;
  gap: 16px 32px;
  align-items: center;
  padding: 12px 0;
}

figure {
  display: grid;
  gap: 8px;
  max-width: 220px;
}

figcaption {
  font-size: var(--type-note);
  overflow-wrap: anywhere;
}

.code {
  font-size: var(--type-step);
  letter-spacing: 0.06em;
}
</style>
