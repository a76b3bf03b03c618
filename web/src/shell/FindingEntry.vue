<script setup lang="ts">
import DrawnIcon from '../parts/DrawnIcon'
import { mdiAlertCircle, mdiAlertOctagon, mdiInformation } from '@mdi/js'
import { ref } from 'vue'
import { api, type Problem } from '../api/client'
import type { Finding, RemedyView } from '../api/types'
import TrialBar from '../parts/TrialBar.vue'
import { useDisplay } from '../state/display'
import { useGoThere } from './goThere'

/** One finding: its numbers, what one would see, the way there, what settles it, or why it may stay. */
const props = defineProps<{ finding: Finding }>()

const display = useDisplay()
const goThere = useGoThere()
const remedies = ref<RemedyView[]>()
const asking = ref(false)
const chosen = ref(0)
const reason = ref<string>()

const looks = {
  FAULT: { icon: mdiAlertOctagon, colour: 'error' },
  RISK: { icon: mdiAlertCircle, colour: 'warning' },
  HINT: { icon: mdiInformation, colour: 'info' },
}

async function ask() {
  asking.value = true
  try {
    remedies.value = await api.remedies(display.view!.id, props.finding.identity)
    chosen.value = 0
  } catch (error) {
    display.problem = error as Problem
  } finally {
    asking.value = false
  }
}
function apply() {
  const remedy = remedies.value?.[chosen.value]
  remedies.value = undefined
  if (remedy) {
    void display.edit(remedy.edit)
  }
}
function accept() {
  const { identity, code, message } = props.finding
  const given = reason.value?.trim()
  if (given) {
    void display.edit({
      type: 'AcceptFinding',
      finding: { identity, code, message, reason: given },
    })
  }
}
</script>

<template>
  <article data-test="finding" :data-code="finding.code">
    <DrawnIcon
      :path="looks[finding.severity].icon"
      :style="{ color: `rgb(var(--v-theme-${looks[finding.severity].colour}))` }"
      :size="18"
    />
    <div class="told">
      <strong>{{ finding.title }}</strong>
      <p>{{ finding.message }}</p>
      <p class="quiet">{{ finding.yard }}</p>
      <div class="acts">
        <v-btn size="small" color="primary" @click="goThere(finding.subjects[0], finding.area)"
          >Go there</v-btn
        >
        <v-btn
          size="small"
          :loading="asking"
          :aria-expanded="remedies !== undefined"
          data-test="settle"
          @click="remedies ? (remedies = undefined) : ask()"
          >Settle it</v-btn
        >
        <v-btn
          v-if="finding.severity !== 'FAULT'"
          size="small"
          data-test="accept"
          @click="reason = reason === undefined ? '' : undefined"
          >Accept</v-btn
        >
      </div>
      <template v-if="remedies">
        <p v-if="remedies.length === 0" class="quiet" data-test="no-remedy">
          Nothing that Hamper can change clears this without a new fault. Go there and decide.
        </p>
        <template v-else>
          <div v-if="remedies.length > 1" class="choices" role="radiogroup" aria-label="Remedies">
            <label v-for="(remedy, i) in remedies" :key="i">
              <input v-model="chosen" type="radio" :value="i" />
              {{ remedy.preview.label }}
            </label>
          </div>
          <TrialBar
            :preview="remedies[chosen].preview"
            @apply="apply"
            @leave="remedies = undefined"
          />
        </template>
      </template>
      <form v-if="reason !== undefined" class="reason" @submit.prevent="accept">
        <input
          v-model="reason"
          maxlength="400"
          aria-label="Why it may be so"
          placeholder="Why it may be so"
          autofocus
        />
        <v-btn type="submit" size="small" color="primary" :disabled="!reason.trim()">Accept</v-btn>
      </form>
    </div>
  </article>
</template>

<style scoped>
article {
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 8px;
  padding: 10px 0;
  border-top: 1px solid var(--line);
  font-size: 13px;
  line-height: 18px;
}
.told {
  min-width: 0;
}
.acts {
  display: flex;
  margin-left: -12px;
}
.choices {
  display: grid;
  gap: 4px;
  padding: 4px 0 8px;
}
.reason {
  display: flex;
  gap: 6px;
}
.reason input {
  flex: 1;
  min-width: 0;
  border-bottom: 1px solid var(--copper);
}
</style>
