<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '../api/client'
import type { HandoverView } from '../api/types'
import { useDisplay } from '../state/display'
import ProofPage from './handover/ProofPage.vue'
import SendListTable from './handover/SendListTable.vue'
import SettingSheet from './handover/SettingSheet.vue'
import UnitTable from './handover/UnitTable.vue'

const props = defineProps<{ controller?: string }>()
const SEND_LIST = 'send-list'
const UNITS = 'units'
const PROOF = 'check'

const display = useDisplay()
const router = useRouter()
const handover = ref<HandoverView>()

watch(
  () => [display.view?.id, display.view?.version],
  async () => {
    const answer = await api.handover(display.view!.id).catch(() => undefined)
    // an answer about an older version is dropped
    if (answer && answer.version >= (handover.value?.version ?? 0)) {
      handover.value = answer
    }
  },
  { immediate: true },
)
watch(
  () => display.view?.id,
  () => (handover.value = undefined),
)

const chosen = computed(() => {
  const all = handover.value?.configurations ?? []
  return all.find((given) => given.configuration.controller === props.controller) ?? all[0]
})
const showsList = computed(() => props.controller === SEND_LIST)
const showsProof = computed(() => props.controller === PROOF)
const showsUnits = computed(() => props.controller === UNITS && !!handover.value?.units.length)
const base = computed(() => `/api/displays/${display.view!.id}`)

function used(given: NonNullable<typeof chosen.value>): number {
  return given.configuration.outputs.filter((output) => output.used).length
}
function to(controller: string) {
  void router.replace({ name: 'handover', params: { controller } })
}
</script>

<template>
  <div class="handover" :data-version="handover?.version" data-test="handover">
    <nav class="who" aria-label="Controllers to hand over">
      <h1>Handover</h1>
      <button
        v-if="handover?.configurations.length"
        type="button"
        class="list"
        :aria-current="showsProof ? 'true' : undefined"
        data-test="go-proof"
        @click="to(PROOF)"
      >
        <strong>Check it all</strong>
        <span class="quiet">every pixel, on stand-ins</span>
      </button>
      <button
        v-for="given in handover?.configurations"
        :key="given.configuration.controller"
        type="button"
        :aria-current="
          !showsList && !showsUnits && !showsProof && given === chosen ? 'true' : undefined
        "
        @click="to(given.configuration.controller)"
      >
        <strong>{{ given.configuration.tag }} {{ given.configuration.name }}</strong>
        <span class="quiet">{{ given.configuration.modelTitle }}</span>
        <span class="quiet"
          >{{ used(given) }} of {{ given.configuration.outputs.length }} ports in use</span
        >
        <span v-if="given.configuration.untold.length" class="wrong">
          ▲ {{ given.configuration.untold.length }} cannot be told
        </span>
      </button>
      <button
        v-if="handover?.sendList.length"
        type="button"
        class="list"
        :aria-current="showsList ? 'true' : undefined"
        @click="to(SEND_LIST)"
      >
        <strong>Send list</strong>
        <span class="quiet">for the sources: {{ handover.sendList.length }} lines</span>
      </button>
      <button
        v-if="handover?.units.length"
        type="button"
        class="list"
        :aria-current="showsUnits ? 'true' : undefined"
        @click="to(UNITS)"
      >
        <strong>Decoders and dimmer packs</strong>
        <span class="quiet">set at themselves: {{ handover.units.length }}</span>
      </button>
    </nav>
    <div class="sheet">
      <ProofPage v-if="showsProof" />
      <template v-else-if="handover && showsList">
        <div class="actions">
          <h2>Send list</h2>
          <v-spacer />
          <v-btn :prepend-icon="mdiDownload" :href="`${base}/send-list.csv`" download>CSV</v-btn>
          <v-btn
            :prepend-icon="mdiDownload"
            :href="`${base}/send-list.json`"
            download
            data-test="download-send-list"
            >JSON</v-btn
          >
        </div>
        <SendListTable :lines="handover.sendList" />
      </template>
      <template v-else-if="handover && showsUnits">
        <div class="actions">
          <h2>Decoders and dimmer packs</h2>
        </div>
        <UnitTable :units="handover.units" :base="base" />
      </template>
      <template v-else-if="chosen">
        <div class="actions">
          <span class="quiet mono print" :title="chosen.fingerprint"
            >{{ chosen.fingerprint.slice(0, 19) }}…</span
          >
          <v-spacer />
          <v-btn
            :prepend-icon="mdiDownload"
            :href="`${base}/configurations/${chosen.configuration.controller}`"
            color="primary"
            variant="flat"
            download
            data-test="download-configuration"
          >
            Configuration of {{ chosen.configuration.tag }}
          </v-btn>
        </div>
        <SettingSheet :given="chosen" />
      </template>
      <div v-else-if="handover" class="none">
        <h2>Nothing to hand over yet</h2>
        <p class="quiet">As soon as there is a controller, its configuration stands here.</p>
      </div>
    </div>
  </div>
</template>

<style scoped>
.handover {
  height: 100%;
  display: grid;
  grid-template-columns: 250px 1fr;
}
.who {
  border-right: 1px solid var(--line);
  padding: 12px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 2px;
}
.who h1 {
  padding: 0 10px 8px;
}
.who button {
  display: grid;
  text-align: left;
  padding: 8px 10px;
  border-left: 3px solid transparent;
  font-size: 12.5px;
  line-height: 17px;
}
.who button:hover {
  background: rgb(var(--v-theme-surface-variant));
}
.who [aria-current] {
  border-left-color: var(--copper);
  background: rgb(var(--v-theme-surface-variant));
}
.who .list {
  margin-top: 8px;
  border-top: 1px solid var(--line);
}
.wrong {
  color: rgb(var(--v-theme-error));
}
.sheet {
  overflow: auto;
  padding: 12px 28px 48px;
}
.actions {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 40px;
}
.print {
  font-size: 11.5px;
}
.none {
  padding: 12vh 0;
  text-align: center;
}
@media (width < 700px) {
  .handover {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
  .handover > :first-child {
    max-height: 32vh;
  }
  .sheet {
    padding: 12px;
  }
}
</style>
