<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Finding } from '../api/types'
import InPlaceChoice from '../parts/InPlaceChoice.vue'
import { matches } from '../parts/matches'
import { useDisplay } from '../state/display'
import { useShell } from '../state/shell'
import { clusters, isCluster } from './clusters'
import FindingCluster from './FindingCluster.vue'
import FindingEntry from './FindingEntry.vue'

/** All findings, by severity; narrowed down to an area, a controller, some words. */
const display = useDisplay()
const shell = useShell()
const area = ref<string>()
const controller = ref<string>()
const wanted = ref('')

const severities = {
  FAULT: { title: 'Faults', means: 'will not work' },
  RISK: { title: 'Risks', means: 'may not work, or not well' },
  HINT: { title: 'Hints', means: 'unusual' },
}
const all = computed(() => display.view!.findings)
const areas = computed(() =>
  [...new Set(all.value.map((finding) => finding.area))].map((value) => ({
    value,
    title: value.toLowerCase(),
  })),
)
const controllers = computed(() => {
  const named = new Set(all.value.flatMap((f) => f.subjects.map((s) => s.controller)))
  return display
    .view!.controllers.filter((view) => named.has(view.controller.id))
    .map((view) => ({ value: view.controller.id, title: view.controller.tag }))
})
const shown = computed(() =>
  all.value.filter(
    (finding) =>
      (!area.value || finding.area === area.value) &&
      matches(wanted.value, finding.title, finding.message) &&
      (!controller.value ||
        finding.subjects.some((subject) => subject.controller === controller.value)),
  ),
)
const groups = computed(() =>
  (['FAULT', 'RISK', 'HINT'] as const)
    .map((severity) => ({
      ...severities[severity],
      severity,
      findings: shown.value.filter((finding) => finding.severity === severity),
    }))
    .filter((group) => group.findings.length > 0),
)
const key = (finding: Finding) => finding.identity
function withdraw(finding: Finding) {
  const { identity, code, message } = finding
  void display.edit({ type: 'WithdrawAcceptance', identity, code, message })
}
</script>

<template>
  <aside class="panel" aria-label="Findings">
    <div class="head">
      <h2>Findings</h2>
      <v-spacer />
      <v-btn
        :icon="mdiClose"
        size="x-small"
        aria-label="Close findings"
        @click="shell.findingsOpen = false"
      />
    </div>
    <p v-if="all.length" class="narrow">
      <InPlaceChoice
        :value="area"
        label="Area"
        :choices="areas"
        none="all areas"
        @change="(v) => (area = v)"
      />
      on
      <InPlaceChoice
        :value="controller"
        label="Controller"
        :choices="controllers"
        none="all controllers"
        @change="(v) => (controller = v)"
      />
      with
      <input
        v-model="wanted"
        class="wanted"
        aria-label="Words that a finding has"
        placeholder="any words"
      />
    </p>
    <p v-if="all.length === 0" class="none">Nothing is wrong with this display.</p>
    <p v-else-if="shown.length === 0" class="none">Nothing of this kind there.</p>
    <section v-for="group in groups" :key="group.severity">
      <h3>
        {{ group.findings.length }} {{ group.title }} <span class="quiet">· {{ group.means }}</span>
      </h3>
      <template v-for="one in clusters(group.findings)" :key="isCluster(one) ? one.key : key(one)">
        <FindingCluster v-if="isCluster(one)" :cluster="one" />
        <FindingEntry v-else :finding="one" />
      </template>
    </section>
    <section v-if="display.view!.accepted.length" class="accepted">
      <h3>
        {{ display.view!.accepted.length }} accepted
        <span class="quiet">· until a number changes</span>
      </h3>
      <article v-for="one in display.view!.accepted" :key="key(one.finding)" data-test="accepted">
        <p>{{ one.finding.message }}</p>
        <p class="quiet">“{{ one.reason }}”</p>
        <v-btn size="small" class="back" @click="withdraw(one.finding)">Do not accept</v-btn>
      </article>
    </section>
  </aside>
</template>

<style scoped>
.panel {
  width: 360px;
  flex: none;
  overflow: auto;
  border-left: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
  padding: 12px 14px 24px;
}
@media (width < 700px) {
  .panel {
    position: absolute;
    inset: 0;
    z-index: 5;
    width: auto;
    border-left: none;
  }
}
.head {
  display: flex;
  align-items: center;
}
.narrow {
  font-size: 12.5px;
}
h3 {
  font-size: 12.5px;
  font-weight: 600;
  margin: 12px 0 6px;
}
.none {
  margin-top: 16px;
}
.accepted article {
  padding: 8px 0;
  border-top: 1px solid var(--line);
  font-size: 13px;
  line-height: 18px;
}
.back {
  margin-left: -12px;
}
.wanted {
  width: 11ch;
  border-bottom: 1px dashed var(--copper);
}
.wanted::placeholder {
  color: var(--quiet);
  opacity: 1;
}
</style>
