/** @jest-environment jsdom */
import { stageOf, STAGES } from '@icy-ribbon/core/paint/stage';
import { mount } from '@vue/test-utils';
import { createPinia } from 'pinia';
import JudgePuddle from './JudgePuddle.vue';
import NameMound from './NameMound.vue';
import type { PlayResult } from './parts/playResult.ts';
import { levelOf } from './parts/useMicrophone.ts';

beforeAll(() => {
  window.matchMedia = () =>
    ({ matches: true, addEventListener: () => undefined, removeEventListener: () => undefined }) as never;
});

const shown = (component: object) =>
  mount(component, { global: { plugins: [createPinia()] }, attachTo: document.body });
const doneOf = (wrapper: ReturnType<typeof shown>) => wrapper.emitted<[PlayResult]>('done')?.[0]?.[0];

it('eight mounds are named by keys; what was shown and said is handed on', async () => {
  const wrapper = shown(NameMound);
  for (let at = 0; at < 8; at += 1) {
    expect(wrapper.text()).toContain(`${at + 1} of 8`);
    window.dispatchEvent(new KeyboardEvent('keydown', { key: '3' }));
    await wrapper.vm.$nextTick();
  }
  const done = doneOf(wrapper)!;
  expect(done.answers).toHaveLength(8);
  for (const { said } of done.answers) expect(stageOf(said).name).toBe(STAGES[2].name);
  expect(done.measures.right).toBe(
    done.answers.filter(({ shown: paS }) => stageOf(paS).name === 'trace').length,
  );
  wrapper.unmount();
});

it('a puddle without a weight is asked for again, and nothing is lost', async () => {
  const wrapper = shown(JudgePuddle);
  await wrapper.get('form').trigger('submit');
  expect(wrapper.text()).toContain('Say how much it weighs');
  expect(wrapper.text()).toContain('1 of 5');
  for (let at = 0; at < 5; at += 1) {
    await wrapper.get('input').setValue('7,5');
    await wrapper.get('form').trigger('submit');
  }
  const done = doneOf(wrapper)!;
  expect(done.answers.map(({ said }) => said)).toEqual([7.5, 7.5, 7.5, 7.5, 7.5]);
  expect(done.score).toBeGreaterThanOrEqual(0);
  wrapper.unmount();
});

it('a microphone is heard on a scale of loudness', () => {
  expect([0, 0.01, 0.3, 5].map(levelOf)).toEqual([0, 0, 1, 1]);
  expect(levelOf(0.05)).toBeGreaterThan(levelOf(0.02));
});
