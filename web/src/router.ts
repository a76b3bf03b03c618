import type { Component } from 'vue'
import { createRouter, createWebHashHistory } from 'vue-router'
import ControllersPlace from './places/ControllersPlace.vue'
import HandoverPlace from './places/HandoverPlace.vue'
import LoadsPlace from './places/LoadsPlace.vue'
import NetworkPlace from './places/NetworkPlace.vue'
import OverviewPlace from './places/OverviewPlace.vue'
import PatchPlace from './places/PatchPlace.vue'
import PropsPlace from './places/PropsPlace.vue'
import { places, type PlaceName } from './shell/places'

const components: Record<PlaceName, Component> = {
  overview: OverviewPlace,
  network: NetworkPlace,
  controllers: ControllersPlace,
  props: PropsPlace,
  patch: PatchPlace,
  loads: LoadsPlace,
  handover: HandoverPlace,
}

export const router = createRouter({
  history: createWebHashHistory(),
  routes: [
    { path: '/', redirect: '/overview' },
    ...places.map((place) => ({
      path: 'opens' in place ? `/${place.name}/:${place.opens}?` : `/${place.name}`,
      name: place.name,
      component: components[place.name],
      props: 'opens' in place,
    })),
  ],
})
