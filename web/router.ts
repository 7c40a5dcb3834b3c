import { createRouter, createWebHistory } from 'vue-router';
import { STAGES, type StageKey } from './frame/stages';

/** The tool of each stage. */
const TOOLS: Record<StageKey, () => Promise<object>> = {
  stock: () => import('./stage/stock/StockStage.vue'),
  faces: () => import('./stage/faces/FacesStage.vue'),
  pair: () => import('./stage/pair/PairStage.vue'),
  scale: () => import('./stage/scale/ScaleStage.vue'),
  fallbacks: () => import('./stage/fallbacks/FallbacksStage.vue'),
  styles: () => import('./stage/styles/StylesStage.vue'),
  deliver: () => import('./stage/deliver/DeliverStage.vue'),
};

/** Every stage of every project has its own address. A stage's tool loads when it is opened. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'start', component: () => import('./frame/StartView.vue') },
    { path: '/projects', name: 'projects', component: () => import('./frame/ProjectsView.vue') },
    {
      path: '/p/:project',
      component: () => import('./frame/ProjectView.vue'),
      children: [
        { path: '', redirect: (to) => `${to.path.replace(/\/$/, '')}/faces` },
        ...STAGES.map(({ key }) => ({ path: key, name: key, component: TOOLS[key] })),
      ],
    },
    // Every control in all its states, for whoever works on them.
    ...(import.meta.env.DEV
      ? [{ path: '/controls', component: () => import('./control/ControlsPage.vue') }]
      : []),
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./frame/NowhereView.vue') },
  ],
});
