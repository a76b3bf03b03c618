import { createRouter, createWebHashHistory } from 'vue-router'
import HandoverPlace from './places/HandoverPlace.vue'
import OverviewPlace from './places/OverviewPlace.vue'
import PatchPlace from './places/PatchPlace.vue'

export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
    { path: '/', redirect: '/overview' },
    { path: '/overview', name: 'overview', component: OverviewPlace },
    { path: '/patch', name: 'patch', component: PatchPlace },
    { path: '/handover/:controller?', name: 'handover', component: HandoverPlace, props: true },
  ],
})
