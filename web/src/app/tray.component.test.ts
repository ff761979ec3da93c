/** @jest-environment jsdom */
import { mount } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import { createMemoryHistory, createRouter } from 'vue-router';
import { usePiece } from '../store/piece/piece.ts';
import CupTray from './CupTray.vue';

const AT = '2026-03-01T09:30:00.000Z';
const record = { version: 1, createdAt: AT, updatedAt: AT, deletedAt: null };
const material = {
  ...{
    materialId: 'm',
    name: 'Rust',
    kind: 'fluid',
    colorHex: '#9c4a2c',
    finish: 'plain',
    opacity: 'opaque',
  },
  ...{ densityGPerMl: 1.2, densityTrust: 'typical', viscosityPaS: 8, viscosityTrust: 'typical' },
};
/** A cup far too thick for a Dutch pour. */
const mix = {
  ...record,
  ...{ id: 'c', pieceId: 'p', name: 'Rust', role: 'color', position: 0, movements: [], lid: true },
  recipe: { id: 'D2', name: 'D2', variant: null, thinning: null, restHours: null, waterLimit: null },
  ingredients: [{ id: 'i', role: 'paint', share: 1, targetMg: 30_000, material }],
  additions: [{ id: 'a', ingredientId: 'i', mg: 30_000, source: 'typed', at: AT, drawId: null }],
};
const support = {
  supportId: 's',
  name: 'Board',
  shape: 'rectangle',
  widthMm: 300,
  heightMm: 400,
  sideDepthMm: 18,
};

async function trayAt(path: string, judgement: object | null = null) {
  setActivePinia(createPinia());
  const page = { template: '<main></main>' };
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/mix', component: page, meta: { ribbon: true } },
      { path: '/shelf', component: page },
    ],
  });
  await router.push(path);
  const store = usePiece();
  store.piece = {
    ...record,
    ...{ id: 'p', name: 'Low tide', technique: 'dutch', note: '', support, aims: undefined },
    ...{ mixes: [mix], readings: [], plan: null, events: [], photos: [], judgement },
  } as never;
  const tray = mount(CupTray, { global: { plugins: [router] } });
  return { tray, router };
}

beforeEach(() => {
  localStorage.clear();
  window.matchMedia ??= (() => ({
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as never;
});

describe('the tray', () => {
  it('stands open where cups are worked with, and says what is wrong with them', async () => {
    const { tray } = await trayAt('/mix');
    expect(tray.text()).toContain('30.0\u00a0g left');
    expect(tray.text()).toContain('too thick');
  });

  it('folds itself elsewhere, opens when asked, and folds again on the next page', async () => {
    const { tray, router } = await trayAt('/shelf');
    expect(tray.classes()).toContain('closed');
    await tray.get('button').trigger('click');
    expect(tray.text()).toContain('Rust');
    await router.push('/mix');
    await router.push('/shelf');
    expect(tray.classes()).toContain('closed');
  });

  it('speaks of nothing that is over', async () => {
    const { tray } = await trayAt('/mix', { faults: [], rating: 4 });
    expect(tray.text()).toContain('Rust');
    expect(tray.text()).not.toContain('too thick');
    expect(tray.text()).not.toMatch(/days? old/);
  });
});
