<script setup lang="ts">
/** The name of a place, and the ways to look at it: each has an address of its own. */
defineProps<{
  title: string
  label: string
  place: string
  /** The part of the address; empty: how the place opens. */
  looks: { part: string; title: string }[]
  /** The part that is looked at. */
  here: string
}>()
</script>

<template>
  <nav class="looks" :aria-label="label">
    <h1>{{ title }}</h1>
    <router-link
      v-for="one in looks"
      :key="one.part"
      :to="{ name: place, params: { part: one.part } }"
      :class="{ here: one.part === here }"
      :aria-current="one.part === here ? 'page' : undefined"
      :data-test="`look-${one.part || 'planned'}`"
      >{{ one.title }}</router-link
    >
  </nav>
</template>

<style scoped>
.looks {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 18px;
  padding: 14px 24px 0;
  font-size: 13.5px;
}
h1 {
  margin-right: 6px;
}
.looks a {
  color: var(--quiet);
  padding: 2px 0;
  border-bottom: 2px solid transparent;
  text-decoration: none;
}
.looks a.here {
  color: rgb(var(--v-theme-on-surface));
  border-bottom-color: var(--copper);
}
@media (width < 700px) {
  .looks {
    padding: 10px 12px 0;
  }
}
</style>
