import { createRouter, createWebHashHistory } from 'vue-router'
import ControllersPlace from './places/ControllersPlace.vue'
import HandoverPlace from './places/HandoverPlace.vue'
import LoadsPlace from './places/LoadsPlace.vue'
import NetworkPlace from './places/NetworkPlace.vue'
import OverviewPlace from './places/OverviewPlace.vue'
import PatchPlace from './places/PatchPlace.vue'
import PropsPlace from './places/PropsPlace.vue'

export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
    { path: '/', redirect: '/overview' },
    { path: '/overview', name: 'overview', component: OverviewPlace },
    { path: '/network', name: 'network', component: NetworkPlace },
    {
      path: '/controllers/:controller?',
      name: 'controllers',
      component: ControllersPlace,
      props: true,
    },
    { path: '/props/:prop?', name: 'props', component: PropsPlace, props: true },
    { path: '/patch', name: 'patch', component: PatchPlace },
    { path: '/loads', name: 'loads', component: LoadsPlace },
    { path: '/handover/:controller?', name: 'handover', component: HandoverPlace, props: true },
  ],
})
