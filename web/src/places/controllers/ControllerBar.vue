<script setup lang="ts">
import { computed } from 'vue'
import { said } from '../../api/said'
import type { ControllerSettings, ControllerView } from '../../api/types'
import { common } from '../../parts/common'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import { PROTOCOLS, TRANSPORTS } from '../../parts/words'
import { useDisplay } from '../../state/display'

/** What is set for all selected controllers at once; each change is one step. */
const props = defineProps<{ selected: ControllerView[] }>()
const emit = defineEmits<{ done: [] }>()

const display = useDisplay()
const all = computed(() => props.selected.map((view) => view.controller.settings))
function of<K extends keyof ControllerSettings>(key: K): ControllerSettings[K] | undefined {
  return common(all.value.map((settings) => settings[key]))
}
function set(changes: Partial<ControllerSettings>) {
  void display.edit({
    type: 'SetControllers',
    controllers: props.selected.map((view) => view.controller.id),
    set: { settings: said(changes) },
  })
}
const protocols = (['E131', 'ARTNET', 'DDP'] as const).map((value) => ({
  value: value as string,
  title: PROTOCOLS[value],
}))
const transports = (['UNICAST', 'MULTICAST', 'BROADCAST'] as const).map((value) => ({
  value: value as string,
  title: TRANSPORTS[value],
}))
</script>

<template>
  <div class="bar" role="toolbar" aria-label="Selected controllers" data-test="controllers-bar">
    <strong>{{ selected.length }} controllers</strong>
    <span>
      <InPlaceChoice
        :value="of('protocol')"
        label="Protocol of all selected"
        :choices="protocols"
        @change="(v) => v && set({ protocol: v as ControllerSettings['protocol'] })"
      />
      <InPlaceChoice
        :value="of('transport')"
        label="Transport of all selected"
        :choices="transports"
        @change="(v) => v && set({ transport: v as ControllerSettings['transport'] })"
      />
      from
      <InPlaceChoice
        :value="of('source')"
        label="Source of all selected"
        :choices="display.hostChoices"
        none="no source"
        @change="(source) => set({ source })"
      />
    </span>
    <span>
      <InPlaceNumber
        :value="of('brightness')"
        none="usual"
        label="Default brightness of all selected, percent"
        :least="0"
        :most="100"
        @change="(brightness) => set({ brightness })"
      />
      %
    </span>
    <span>
      in
      <InPlaceChoice
        :value="of('zone')"
        label="Zone of all selected"
        :choices="display.zoneChoices"
        none="no zone"
        @change="(zone) => set({ zone })"
      />
    </span>
    <v-btn size="small" @click="emit('done')">Let go</v-btn>
  </div>
</template>

<style scoped>
.bar {
  position: sticky;
  top: 0;
  z-index: 4;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 6px 16px;
  margin-bottom: 6px;
  font-size: 13px;
  border-left: 4px solid var(--copper);
  background: rgb(var(--v-theme-surface-variant));
}
</style>
