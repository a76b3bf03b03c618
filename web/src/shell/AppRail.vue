<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { useRoute } from 'vue-router'
import { useDisplay } from '../state/display'
import { places } from './places'

const display = useDisplay()
const route = useRoute()
</script>

<template>
  <nav class="rail" aria-label="Places">
    <img src="/favicon.svg" alt="Hamper" class="mark" />
    <router-link
      v-for="place in places"
      :key="place.name"
      :to="{ name: place.name, params: { display: display.view?.id ?? '-' } }"
      class="to"
      :aria-current="route.name === place.name ? 'page' : undefined"
    >
      <DrawnIcon :path="place.icon" :size="22" />
      <span>{{ place.title }}</span>
    </router-link>
  </nav>
</template>

<style scoped>
.rail {
  width: 76px;
  flex: none;
  background: #2b2a27;
  color: #d9d3c6;
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding: 8px 6px;
}
.mark {
  width: 34px;
  height: 34px;
  margin: 2px auto 12px;
}
.to {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 3px;
  padding: 8px 0;
  font-size: 11.5px;
  color: inherit;
  text-decoration: none;
  border-radius: 4px;
  border-left: 3px solid transparent;
}
.to:hover {
  background: #3a3833;
}
.to.router-link-active {
  color: #fff;
  background: #403d37;
  border-left-color: #e29a64;
}
/* under the thumb, where there is no room beside */
@media (width < 700px) {
  .rail {
    width: auto;
    flex-direction: row;
    justify-content: space-between;
    gap: 0;
    padding: 2px 4px;
  }
  .mark {
    display: none;
  }
  .rail {
    overflow-x: auto;
  }
  .to {
    flex: 1 0 46px;
    font-size: 10px;
    border-left: none;
    border-top: 3px solid transparent;
  }
  .to.router-link-active {
    border-top-color: #e29a64;
  }
}
</style>
