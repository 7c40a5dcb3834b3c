import { createRouter, createWebHistory } from 'vue-router';

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
        { path: 'stock', name: 'stock', component: () => import('./stage/stock/StockStage.vue') },
        { path: 'faces', name: 'faces', component: () => import('./stage/faces/FacesStage.vue') },
        { path: 'pair', name: 'pair', component: () => import('./stage/pair/PairStage.vue') },
        { path: 'scale', name: 'scale', component: () => import('./stage/scale/ScaleStage.vue') },
        {
          path: 'fallbacks',
          name: 'fallbacks',
          component: () => import('./stage/fallbacks/FallbacksStage.vue'),
        },
        {
          path: 'styles',
          name: 'styles',
          component: () => import('./stage/styles/StylesStage.vue'),
        },
        {
          path: 'deliver',
          name: 'deliver',
          component: () => import('./stage/deliver/DeliverStage.vue'),
        },
      ],
    },
    { path: '/:path(.*)*', name: 'nowhere', component: () => import('./frame/NowhereView.vue') },
  ],
});
