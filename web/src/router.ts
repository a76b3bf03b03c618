import type { Component } from 'vue'
import { createRouter, createWebHashHistory } from 'vue-router'
import AddressesPlace from './places/AddressesPlace.vue'
import ControllersPlace from './places/ControllersPlace.vue'
import HandoverPlace from './places/HandoverPlace.vue'
import LoadsPlace from './places/LoadsPlace.vue'
import NetworkPlace from './places/NetworkPlace.vue'
import OverviewPlace from './places/OverviewPlace.vue'
import PaperPlace from './places/PaperPlace.vue'
import PatchPlace from './places/PatchPlace.vue'
import PropsPlace from './places/PropsPlace.vue'
import TrialPlace from './places/TrialPlace.vue'
import { places, type PlaceName } from './shell/places'

const components: Record<PlaceName, Component> = {
  overview: OverviewPlace,
  network: NetworkPlace,
  controllers: ControllersPlace,
  props: PropsPlace,
  patch: PatchPlace,
  addresses: AddressesPlace,
  loads: LoadsPlace,
  handover: HandoverPlace,
  paper: PaperPlace,
  trial: TrialPlace,
}

/** Every display, every place in it, and what is opened there has an address of its own. */
export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
    ...places.map((place) => ({
      path: `/d/:display/${place.name}${'opens' in place ? `/:${place.opens}?` : ''}`,
      name: place.name,
      component: components[place.name],
      props: 'opens' in place,
    })),
    // no display is named: the one that was open last is opened, at the place that is named
    { path: '/:place?/:opened?', name: 'start', component: { render: () => null } },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})
