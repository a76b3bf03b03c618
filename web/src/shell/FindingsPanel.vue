<script setup lang="ts">
import { mdiAlertCircle, mdiAlertOctagon, mdiClose, mdiInformation } from '@mdi/js'
import { computed } from 'vue'
import type { Finding } from '../api/types'
import { useDisplay } from '../state/display'
import { useShell } from '../state/shell'
import { useGoThere } from './goThere'

const display = useDisplay()
const shell = useShell()
const goThere = useGoThere()

const looks = {
  FAULT: { icon: mdiAlertOctagon, colour: 'error', title: 'Faults', means: 'will not work' },
  RISK: {
    icon: mdiAlertCircle,
    colour: 'warning',
    title: 'Risks',
    means: 'may not work, or not well',
  },
  HINT: { icon: mdiInformation, colour: 'info', title: 'Hints', means: 'unusual' },
}
const groups = computed(() =>
  (['FAULT', 'RISK', 'HINT'] as const)
    .map((severity) => ({
      ...looks[severity],
      severity,
      findings: display.view!.findings.filter((finding) => finding.severity === severity),
    }))
    .filter((group) => group.findings.length > 0),
)
const key = (finding: Finding) => finding.code + finding.message
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
    <p v-if="groups.length === 0" class="none">Nothing is wrong with this display.</p>
    <section v-for="group in groups" :key="group.severity">
      <h3>
        {{ group.findings.length }} {{ group.title }} <span class="quiet">· {{ group.means }}</span>
      </h3>
      <article v-for="finding in group.findings" :key="key(finding)" data-test="finding">
        <v-icon :icon="group.icon" :color="group.colour" size="18" />
        <div>
          <strong>{{ finding.title }}</strong>
          <p>{{ finding.message }}</p>
          <p class="quiet">{{ finding.yard }}</p>
          <v-btn size="small" color="primary" class="go" @click="goThere(finding.subjects[0])">
            Go there
          </v-btn>
        </div>
      </article>
    </section>
  </aside>
</template>

<style scoped>
.panel {
  width: 348px;
  flex: none;
  overflow: auto;
  border-left: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
  padding: 12px 14px 24px;
}
.head {
  display: flex;
  align-items: center;
}
h3 {
  font-size: 12.5px;
  font-weight: 600;
  margin: 12px 0 6px;
}
article {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  font-size: 13px;
  line-height: 18px;
}
.go {
  margin-left: -12px;
}
.none {
  margin-top: 16px;
}
</style>
