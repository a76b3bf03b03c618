import { createRouter, createWebHistory } from 'vue-router'
import ChangesPage from './ChangesPage.vue'
import ControllerPage from './ControllerPage.vue'
import LeftPage from './LeftPage.vue'
import RescuePage from './RescuePage.vue'
import StringPage from './StringPage.vue'
import YardPage from './YardPage.vue'

/** Addresses of the crew's pages; the door answers each with the one page. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'yard', component: YardPage },
    { path: '/controller/:id', name: 'controller', component: ControllerPage, props: true },
    { path: '/string/:piece', name: 'string', component: StringPage, props: true },
    { path: '/left', name: 'left', component: LeftPage },
    { path: '/trouble', name: 'trouble', component: LeftPage, props: { troubles: true } },
    { path: '/moved', name: 'moved', component: ChangesPage },
    { path: '/rescue/:id', name: 'rescue', component: RescuePage, props: true },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
  scrollBehavior: (to, from, saved) => saved ?? { top: 0 },
})
