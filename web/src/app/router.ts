import { api } from '@icy-ribbon/contract/addresses';
import { createRouter, createWebHistory } from 'vue-router';
import { call } from '../api/client.ts';
import { sayProblem } from '../notice/notices.ts';

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', redirect: '/today' },
    {
      path: '/today',
      name: 'today',
      component: () => import('../station/today/TodayStation.vue'),
      meta: { station: 'today', title: 'Today' },
    },
    {
      path: '/shelf',
      name: 'shelf',
      component: () => import('../station/shelf/ShelfStation.vue'),
      meta: { station: 'shelf', title: 'Shelf' },
    },
    {
      path: '/mix/:pieceId',
      name: 'mix',
      component: () => import('../station/mix/MixStation.vue'),
      props: true,
      meta: { station: 'mix', ribbon: true, title: 'Mix' },
    },
    {
      path: '/mix/:pieceId/scale/:cupId',
      name: 'scale',
      component: () => import('../station/mix/AtTheScale.vue'),
      props: true,
      meta: { station: 'mix', tray: true, title: 'At the scale' },
    },
    {
      path: '/cups',
      name: 'cups',
      component: () => import('../station/cups/CupsStation.vue'),
      meta: { station: 'mix', title: 'Cups' },
    },
    {
      path: '/thickness/:pieceId',
      name: 'thickness',
      component: () => import('../station/thickness/SetCheck.vue'),
      props: true,
      meta: { station: 'thickness', ribbon: true, title: 'Thickness' },
    },
    {
      path: '/thickness/:pieceId/cup/:cupId',
      name: 'cup-thickness',
      component: () => import('../station/thickness/OneCup.vue'),
      props: true,
      meta: { station: 'thickness', ribbon: true, title: 'Thickness of a cup' },
    },
    {
      path: '/thickness/:pieceId/race',
      name: 'race',
      component: () => import('../station/thickness/TiltRace.vue'),
      props: true,
      meta: { station: 'thickness', ribbon: true, title: 'Tilt race' },
    },
    {
      path: '/calibrate',
      name: 'calibrate',
      component: () => import('../station/thickness/CalibrateStation.vue'),
      meta: { station: 'thickness', title: 'Calibrate' },
    },
    {
      path: '/computation',
      name: 'computation',
      component: () => import('../station/computation/HowItComputes.vue'),
      meta: { title: 'How it computes' },
    },
    {
      path: '/plan/:pieceId',
      name: 'plan',
      component: () => import('../station/plan/PlanStation.vue'),
      props: true,
      meta: { station: 'plan', ribbon: true, title: 'Plan' },
    },
    {
      path: '/plan/:pieceId/sheet',
      name: 'run-sheet',
      component: () => import('../station/plan/RunSheet.vue'),
      props: true,
      meta: { station: 'plan', title: 'Run sheet' },
    },
    {
      path: '/pour/:pieceId',
      name: 'pour',
      component: () => import('../station/pour/PourStation.vue'),
      props: true,
      meta: { station: 'pour', ribbon: true, title: 'Pour' },
    },
    {
      path: '/results',
      name: 'results',
      component: () => import('../station/results/ResultsStation.vue'),
      meta: { station: 'results', title: 'Results' },
    },
    {
      path: '/compare',
      name: 'compare',
      component: () => import('../station/results/CompareStation.vue'),
      meta: { station: 'results', title: 'Compare' },
    },
    {
      path: '/results/:pieceId',
      name: 'result',
      component: () => import('../station/results/OnePiece.vue'),
      props: true,
      meta: { station: 'results', title: 'Result' },
    },
    {
      path: '/practice',
      name: 'practice',
      component: () => import('../station/practice/PracticeStation.vue'),
      meta: { station: 'practice', title: 'Practice' },
    },
    {
      path: '/practice/piece/:pieceId',
      name: 'rehearse',
      component: () => import('../station/practice/RehearseStation.vue'),
      props: true,
      meta: { station: 'practice', title: 'Rehearse' },
    },
    {
      path: '/practice/piece/:pieceId/what-if',
      name: 'what-if',
      component: () => import('../station/practice/WhatIf.vue'),
      props: true,
      meta: { station: 'practice', title: 'What if' },
    },
    {
      path: '/practice/piece/:pieceId/result',
      name: 'beside-result',
      component: () => import('../station/practice/BesideResult.vue'),
      props: true,
      meta: { station: 'practice', title: 'Rehearsed and poured' },
    },
    {
      path: '/practice/pour/:scene',
      name: 'scratch-pour',
      component: () => import('../station/practice/ScratchPour.vue'),
      props: true,
      meta: { station: 'practice', title: 'Practice' },
    },
    {
      path: '/practice/fit',
      name: 'film-fit',
      component: () => import('../station/practice/FitStation.vue'),
      meta: { station: 'practice', title: 'Your pours and the film' },
    },
    {
      path: '/practice/drill/:drill',
      name: 'drill',
      component: () => import('../station/practice/drill/DrillStation.vue'),
      props: true,
      meta: { station: 'practice', title: 'Drill' },
    },
    {
      path: '/rack',
      name: 'rack',
      component: () => import('../station/rack/RackStation.vue'),
      meta: { station: 'rack', title: 'Rack' },
    },
    {
      path: '/rack/:pieceId',
      name: 'rack-piece',
      component: () => import('../station/rack/OnTheRack.vue'),
      props: true,
      meta: { station: 'rack', title: 'On the rack' },
    },
    {
      path: '/rack/:pieceId/crop',
      name: 'crop',
      component: () => import('../station/rack/CropFinder.vue'),
      props: true,
      meta: { station: 'rack', title: 'Best parts' },
    },
    {
      path: '/rack/:pieceId/sketch',
      name: 'sketch',
      component: () => import('../station/rack/AlterSketch.vue'),
      props: true,
      meta: { station: 'rack', title: 'Sketch' },
    },
    {
      path: '/rack/:pieceId/coat',
      name: 'coat',
      component: () => import('../station/rack/CoatScale.vue'),
      props: true,
      meta: { station: 'rack', title: 'A coat at the scale' },
    },
    {
      path: '/rack/:pieceId/record',
      name: 'record',
      component: () => import('../station/rack/OnePageRecord.vue'),
      props: true,
      meta: { station: 'rack', title: 'Record' },
    },
    {
      path: '/labels',
      name: 'labels',
      component: () => import('../station/rack/LabelSheet.vue'),
      meta: { station: 'rack', title: 'Labels' },
    },
    {
      path: '/show',
      name: 'show',
      component: () => import('../station/rack/ContactSheet.vue'),
      meta: { station: 'rack', title: 'Contact sheet' },
    },
    {
      path: '/safekeeping',
      name: 'safekeeping',
      component: () => import('../station/safekeeping/SafekeepingStation.vue'),
      meta: { title: 'Safekeeping' },
    },
    {
      path: '/devices',
      name: 'devices',
      component: () => import('../station/devices/DevicesStation.vue'),
      meta: { title: 'Devices' },
    },
    {
      path: '/:rest(.*)*',
      name: 'nowhere',
      component: () => import('./NoSuchPage.vue'),
      meta: { title: 'No such page' },
    },
  ],
});

/** A page that cannot be fetched: asking the server finds out why, and says it. */
router.onError(() => {
  call(api.health).catch(sayProblem);
});

router.afterEach((to) => {
  document.title = `${to.meta.title as string} · Icy Ribbon`;
});
