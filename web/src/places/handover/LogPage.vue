<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { LogPage, Then } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { counted } from '../../parts/words'
import MiniRibbon from '../../ribbon/MiniRibbon.vue'
import { farthest } from '../../ribbon/geometry'
import { useDisplay } from '../../state/display'

/** Who changed what and when, with its consequence; and how it was then, to look at. */
const display = useDisplay()
const page = ref<LogPage>()
const controller = ref('')
const prop = ref('')
const then = ref<Then>()

watch(
  [() => display.view!.id, () => display.view!.version, controller, prop],
  async () => {
    const query = {
      ...(controller.value && { controller: controller.value }),
      ...(prop.value && { prop: prop.value }),
    }
    page.value = (await display.attempt(() => api.log(display.view!.id, query))) ?? page.value
  },
  { immediate: true },
)
async function more() {
  const before = page.value!.lines.at(-1)?.version
  const next = await display.attempt(() =>
    api.log(display.view!.id, {
      ...(before && { before }),
      ...(controller.value && { controller: controller.value }),
      ...(prop.value && { prop: prop.value }),
    }),
  )
  if (next) {
    page.value = { lines: [...page.value!.lines, ...next.lines], more: next.more }
  }
}
async function look(version: number) {
  then.value = await display.attempt(() => api.then(display.view!.id, version))
}
const KINDS = { EDIT: '', UNDO: 'undone: ', REDO: 'again: ' }
const most = computed(() => farthest(then.value?.display.controllers ?? []))
</script>

<template>
  <section aria-label="Who did what" data-test="log">
    <div class="head">
      <h2>Who did what</h2>
      <v-spacer />
      <label
        >of
        <select v-model="controller" aria-label="Only of a controller">
          <option value="">all controllers</option>
          <option
            v-for="view in display.view!.controllers"
            :key="view.controller.id"
            :value="view.controller.id"
          >
            {{ view.controller.tag }}
          </option>
        </select></label
      >
      <label
        >and
        <select v-model="prop" aria-label="Only of a prop">
          <option value="">all props</option>
          <option v-for="view in display.view!.props" :key="view.prop.id" :value="view.prop.id">
            {{ view.prop.name }}
          </option>
        </select></label
      >
    </div>
    <div v-if="then" class="then" data-test="then">
      <div class="head">
        <strong>How it was at version {{ then.version }}</strong>
        <span class="quiet"
          >{{ then.display.name }}, {{ counted(then.display.props.length, 'prop') }},
          {{ counted(then.display.findings.length, 'finding') }}; nothing is changed by
          looking</span
        >
        <v-spacer />
        <v-btn size="small" @click="then = undefined">Close</v-btn>
      </div>
      <div
        v-for="view in then.display.controllers.filter((v) => !v.host)"
        :key="view.controller.id"
        class="was"
      >
        <strong class="mono">{{ view.controller.tag }}</strong>
        <MiniRibbon :controller="view" :width="420" :most="most" />
        <span class="quiet"
          >{{ view.lanes.reduce((sum, lane) => sum + lane.legs.length, 0) }} pieces</span
        >
      </div>
    </div>
    <p v-if="page && page.lines.length === 0" class="quiet">Nothing was changed here yet.</p>
    <ol v-else-if="page">
      <li v-for="line in page.lines" :key="line.version">
        <span class="mono quiet">{{ line.version }}</span>
        <span class="quiet when">{{ moment(line.at) }}</span>
        <span class="who">{{ line.by || '–' }}</span>
        <span>
          <strong>{{ KINDS[line.kind] }}{{ line.label }}</strong>
          <span v-if="line.moved" class="moved"> {{ line.moved }}</span>
        </span>
        <v-btn
          size="x-small"
          :aria-label="`How it was at version ${line.version}`"
          @click="look(line.version)"
          >Look</v-btn
        >
      </li>
    </ol>
    <v-btn v-if="page?.more" size="small" @click="more">Earlier</v-btn>
  </section>
</template>

<style scoped>
section {
  max-width: 940px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  font-size: 13px;
}
select {
  border-bottom: 1px solid var(--line-strong);
  max-width: 190px;
}
ol {
  list-style: none;
  padding: 8px 0;
  font-size: 13px;
}
li {
  display: grid;
  grid-template-columns: 40px 140px 90px 1fr auto;
  gap: 10px;
  align-items: baseline;
  padding: 3px 0;
  border-bottom: 1px solid var(--line);
}
.moved {
  color: rgb(var(--v-theme-warning));
}
.then {
  border-left: 4px solid var(--copper);
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin: 8px 0;
}
.was {
  display: flex;
  gap: 12px;
  align-items: flex-start;
  padding: 3px 0;
}
.was strong {
  width: 40px;
}
@media (width < 700px) {
  li {
    grid-template-columns: 34px 1fr auto;
  }
  .when,
  .who {
    display: none;
  }
}
</style>
