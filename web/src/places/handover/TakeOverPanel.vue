<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api } from '../../api/client'
import type { DeviceView } from '../../api/types'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'

/** What a device has beside the plan, part by part: what differs is kept, or taken into the plan. */
const props = defineProps<{ controller: string; tag: string }>()
const emit = defineEmits<{ done: [] }>()

const display = useDisplay()
const device = ref<DeviceView>()
const unread = ref('')
const taken = ref<string[]>([])

watch(
  [() => props.controller, () => display.view!.version],
  async () => {
    device.value = undefined
    unread.value = ''
    try {
      device.value = await api.device(display.view!.id, props.controller)
      taken.value = []
    } catch (error) {
      unread.value = error instanceof Error ? error.message : String(error)
    }
  },
  { immediate: true },
)
const same = computed(() => device.value?.parts.filter((part) => !part.lines.length).length ?? 0)
const differing = computed(() => device.value?.parts.filter((part) => part.lines.length) ?? [])
const title = (part: DeviceView['parts'][number]) =>
  part.key === 'device' ? part.title : `${props.tag} port ${part.title}`
function choose(key: string, on: boolean) {
  taken.value = on ? [...taken.value, key] : taken.value.filter((one) => one !== key)
}
async function take() {
  if (await display.takeOver(props.controller, device.value!.version, taken.value)) {
    emit('done')
  }
}
</script>

<template>
  <div class="over" role="group" :aria-label="`What ${tag} has`" data-test="take-over">
    <strong>What {{ tag }} has, beside the plan</strong>
    <p v-if="unread" class="bad" role="alert">{{ unread }}.</p>
    <p v-else-if="!device" class="quiet">Reading it …</p>
    <template v-else>
      <p class="good">✓ {{ counted(same, 'part is', 'parts are') }} as planned.</p>
      <ul>
        <li v-for="part in differing" :key="part.key">
          <label>
            <input
              type="checkbox"
              :checked="taken.includes(part.key)"
              :aria-label="`Take ${title(part)}`"
              @change="choose(part.key, ($event.target as HTMLInputElement).checked)"
            />
            <span>
              <strong>{{ title(part) }}</strong>
              <span v-if="!part.planned" class="quiet"> nobody planned it: it becomes a prop</span>
              <span v-else-if="!part.has" class="quiet">
                the device has nothing there: what hangs there goes to the tray</span
              >
              <span v-for="line in part.lines" :key="line" class="line">{{ line }}</span>
            </span>
          </label>
        </li>
      </ul>
      <p v-if="differing.length" class="quiet">
        Planned → what the device has. What is not ticked is kept as it is planned.
      </p>
    </template>
    <div class="acts">
      <v-btn
        v-if="differing.length"
        size="small"
        color="primary"
        variant="flat"
        :disabled="taken.length === 0"
        data-test="take"
        @click="take"
        >Take {{ counted(taken.length, 'part') }} into the plan</v-btn
      >
      <v-btn size="small" @click="emit('done')">Close</v-btn>
    </div>
  </div>
</template>

<style scoped>
.over {
  border-left: 4px solid var(--copper);
  background: rgb(var(--v-theme-surface));
  padding: 8px 14px;
  margin-bottom: 12px;
  font-size: 13px;
}
ul {
  list-style: none;
}
label {
  display: grid;
  grid-template-columns: 22px 1fr;
  padding: 3px 0;
  border-top: 1px solid var(--line);
}
input {
  accent-color: var(--copper);
  align-self: start;
  margin-top: 4px;
}
.line {
  display: block;
}
.good {
  color: rgb(var(--v-theme-success));
}
.bad {
  color: rgb(var(--v-theme-error));
}
.acts {
  display: flex;
  gap: 8px;
  padding-top: 6px;
}
</style>
