<script setup lang="ts">
import { computed, ref } from 'vue'
import PlaceLooks from '../parts/PlaceLooks.vue'
import { useWidth } from '../parts/useWidth'
import ControllerTable from './overview/ControllerTable.vue'
import { stepsOf } from './overview/steps'
import StringsPage from './overview/StringsPage.vue'
import ZoneStrip from './overview/ZoneStrip.vue'
import { clusters, isCluster } from '../shell/clusters'
import { useGoThere } from '../shell/goThere'
import { useDisplay } from '../state/display'
import { useHandover } from '../state/handover'
import { useMarks } from '../state/marks'
import { useShell } from '../state/shell'

/** What of it is looked at: nothing for what is left, "strings", or "strings-" and a zone. */
const props = defineProps<{ part?: string }>()
const LOOKS = [
  { part: '', title: 'What is left' },
  { part: 'strings', title: 'Where each string is' },
]
const strings = computed(() => props.part?.startsWith('strings'))
const zone = computed(() => /^strings-(.+)$/.exec(props.part ?? '')?.[1])

const page = ref<HTMLElement>()
const room = useWidth(page)

const display = useDisplay()
const handover = useHandover()
const marks = useMarks()
const shell = useShell()
const goThere = useGoThere()

const controllers = computed(() => display.view!.controllers)
const faults = computed(() =>
  clusters(display.view!.findings.filter((f) => f.severity === 'FAULT')),
)

const pixels = computed(() => {
  let all = 0
  display.pieces.forEach((piece) => (all += piece.pixels))
  return all
})

/** Where the show is built on another version than the yard is at. */
const showLags = computed(() => {
  const show = handover.now?.show
  return show?.version !== undefined && show.differs.length > 0
    ? `the show is built on version ${show.version}, the yard is at ${display.view!.version}`
    : ''
})

const steps = computed(() =>
  stepsOf({
    controllers: controllers.value,
    network: display.view!.network,
    props: display.view!.props.length,
    pieces: display.pieces.size,
    loose: display.loose.length,
    pixels: pixels.value,
    findings: display.view!.findings.length,
    given: handover,
    showLags: showLags.value,
    seen: {
      begun: marks.begun,
      strings: marks.strings,
      right: marks.seen.size,
      check: marks.check,
    },
  }),
)
</script>

<template>
  <div ref="page" class="overview">
    <PlaceLooks
      :title="display.view!.name"
      label="Ways to look at the display"
      place="overview"
      :looks="LOOKS"
      :here="strings ? 'strings' : ''"
    />
    <StringsPage v-if="strings" :zone="zone" />
    <div v-else class="whatIsLeft">
      <ol class="steps" aria-label="What is left">
        <li v-for="step in steps" :key="step.title" :class="{ done: step.done }">
          <component
            :is="step.to ? 'router-link' : 'button'"
            v-bind="
              step.to
                ? { to: { name: step.to, params: { piece: step.part ?? '' } } }
                : { type: 'button' }
            "
            class="step"
            @click="step.to || (shell.findingsOpen = true)"
          >
            <strong>{{ step.done ? '✓' : '○' }} {{ step.title }}</strong>
            <span>{{ step.text }}</span>
          </component>
        </li>
      </ol>

      <section v-if="faults.length" class="stops" aria-label="What stops you tonight">
        <h2>What stops you tonight</h2>
        <ul>
          <li v-for="one in faults.slice(0, 6)" :key="isCluster(one) ? one.key : one.identity">
            <span aria-hidden="true" class="sign">▲</span>
            <template v-if="isCluster(one)">
              <span>{{ one.title }}: {{ one.findings[0].message }} …</span>
              <v-btn size="small" color="primary" @click="shell.findingsOpen = true"
                >Show all</v-btn
              >
            </template>
            <template v-else>
              <span>{{ one.message }}</span>
              <v-btn size="small" color="primary" @click="goThere(one.subjects[0], one.area)"
                >Go there</v-btn
              >
            </template>
          </li>
        </ul>
        <v-btn v-if="faults.length > 6" size="small" @click="shell.findingsOpen = true">
          and {{ faults.length - 6 }} more
        </v-btn>
      </section>

      <div v-if="controllers.length === 0" class="none">
        <h2>Nothing is planned yet</h2>
        <p class="quiet">
          Begin with whatever you know first: the devices in
          <router-link :to="{ name: 'controllers' }">Controllers</router-link>, what there is to
          light in <router-link :to="{ name: 'props' }">Props</router-link>, or the addresses in
          <router-link :to="{ name: 'network' }">Network</router-link>. The line above says what is
          still missing.
        </p>
      </div>
      <div v-else class="beside">
        <ZoneStrip class="zones" />
        <ControllerTable :room="room" :controllers="controllers" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.beside {
  display: grid;
  gap: 16px;
}
/* a wide window has room for both */
@media (width >= 1500px) {
  .beside {
    grid-template-columns: minmax(0, 1fr) max-content;
    align-items: start;
  }
  .zones {
    order: 2;
  }
}
/* what stands in it follows the room that findings leave, not the window */
.overview {
  container-type: inline-size;
  display: flex;
  flex-direction: column;
  min-height: 100%;
}
.whatIsLeft {
  padding: 12px 24px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
}
.steps {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(7, minmax(0, 1fr));
  gap: 0;
  border: 1px solid var(--line);
  border-radius: 6px;
  background: rgb(var(--v-theme-surface));
}
.step {
  display: grid;
  align-content: start;
  gap: 2px;
  width: 100%;
  height: 100%;
  padding: 10px 12px;
  font-size: 13px;
  color: inherit;
  text-align: left;
  text-decoration: none;
}
.step:hover {
  background: rgb(var(--v-theme-surface-variant));
}
.none a {
  color: var(--copper);
}
.steps li {
  border-left: 1px solid var(--line);
}
.steps li:first-child {
  border-left: none;
}
.steps .done strong {
  color: rgb(var(--v-theme-success));
}
.stops {
  border-left: 4px solid rgb(var(--v-theme-error));
  background: rgb(var(--v-theme-surface));
  padding: 10px 16px;
}
.stops ul {
  list-style: none;
}
.stops li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.stops .v-btn {
  flex: none;
}
.sign {
  color: rgb(var(--v-theme-error));
}
.none {
  padding: 8vh 0;
  text-align: center;
}
@media (width < 700px) {
  .overview {
    padding: 12px 12px 32px;
  }
}
@container (width < 700px) {
  .steps {
    grid-template-columns: repeat(4, minmax(0, 1fr));
  }
  .steps li:nth-child(-n + 4) {
    border-bottom: 1px solid var(--line);
  }
  .steps li:nth-child(5) {
    border-left: none;
  }
}
@container (width < 480px) {
  .steps {
    grid-template-columns: 1fr;
  }
  .steps li {
    border-left: none;
  }
  .steps li:not(:last-child) {
    border-bottom: 1px solid var(--line);
  }
}
</style>
