<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { LabelSize, TagsView } from '../../api/types'
import { blocksOf } from '../../parts/blocks'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { matches } from '../../parts/matches'
import NearOnly from '../../parts/NearOnly.vue'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'

/** Tags of strings and cables: given, changed where they stand, printed on labels. */
/** As high as a row is (px). */
const ROW = 30
const LABELS = 'hamper.labels'
const PATTERN = /^[A-Za-z0-9][A-Za-z0-9./-]{0,11}$/

const display = useDisplay()
const view = shallowRef<TagsView>()
const size = ref<LabelSize>((localStorage.getItem(LABELS) as LabelSize) ?? 'A4_24')
const used = ref(0)
const words = ref('')
const ask = latestOf<TagsView>((answer) => (view.value = answer))
watch(
  [() => display.view!.id, () => display.view!.version],
  () => void ask(() => api.tags(display.view!.id)),
  { immediate: true },
)
watch(size, (value) => localStorage.setItem(LABELS, value))

const shown = computed(() =>
  (view.value?.tags ?? []).filter((row) =>
    matches(words.value, row.tag.text, row.what, row.from, row.to),
  ),
)
const blocks = computed(() => blocksOf(shown.value, 60, 20))
const sheet = computed(() => view.value?.labels.find((one) => one.size === size.value))
const at = computed(() => `/api/displays/${display.view!.id}/paper`)
/** Of all; or of those alone that are looked for. */
const labels = computed(() => {
  const only = words.value
    ? shown.value.map((row) => `&tag=${encodeURIComponent(row.tag.text)}`).join('')
    : ''
  return `${at.value}/labels.pdf?size=${size.value}&used=${used.value}${only}`
})

function setTag(row: TagsView['tags'][number], text: string) {
  const { kind, of, bank, box } = row.tag
  void display.edit({ type: 'SetTag', on: { kind, of, bank, box }, text: text || null })
}
</script>

<template>
  <section v-if="view" class="list" aria-label="Tags and labels">
    <div class="line">
      <v-btn
        v-if="view.untagged"
        color="primary"
        variant="flat"
        size="small"
        data-test="give-tags"
        @click="display.edit({ type: 'GiveTags' })"
        >Give tags to {{ view.untagged.toLocaleString('en') }} without one</v-btn
      >
      <span v-else class="quiet">Everything has a tag.</span>
      <template v-if="view.tags.length">
        <label
          >Labels
          <select v-model="size" aria-label="Sheet of labels" data-test="label-size">
            <option v-for="one in view.labels" :key="one.size" :value="one.size">
              {{ one.title }}
            </option>
          </select></label
        >
        <span
          >first
          <InPlaceNumber
            :value="used"
            label="Labels of the first sheet that are gone already"
            :least="0"
            :most="(sheet?.count ?? 1) - 1"
            local
            @change="(v) => (used = v ?? 0)"
          />
          gone</span
        >
        <v-btn
          size="small"
          variant="outlined"
          :prepend-icon="mdiDownload"
          :href="labels"
          download
          data-test="labels-pdf"
          >{{ words ? `Labels of ${counted(shown.length, 'tag')}` : 'Labels' }}</v-btn
        >
        <v-btn size="small" variant="text" :href="`${at}/label-test.pdf?size=${size}`" download
          >Test page</v-btn
        >
        <input
          v-model="words"
          class="field words"
          aria-label="Words of a tag or of what it is on"
          placeholder="find a tag"
        />
      </template>
    </div>
    <div
      v-if="view.tags.length"
      class="rows scrolls"
      tabindex="0"
      role="region"
      aria-label="All tags"
    >
      <table>
        <NearOnly
          v-for="(block, b) in blocks"
          :key="b"
          as="tbody"
          :height="block.rows.length * ROW"
          :always="block.always"
        >
          <tr v-for="row in block.rows" :key="row.tag.text" :data-tag="row.tag.text">
            <td class="mono">
              <span v-if="row.gone">{{ row.tag.text }}</span>
              <InPlaceText
                v-else
                :value="row.tag.text"
                :label="`Tag of ${row.what}`"
                :most="12"
                none="no tag"
                :pattern="PATTERN"
                told="letters, digits, points, dashes and strokes, at most 12"
                @change="(text: string) => setTag(row, text)"
              />
            </td>
            <td>{{ row.what }}</td>
            <td class="mono">{{ row.gone ? '' : row.from || 'not plugged in' }}</td>
            <td>
              {{ row.gone ? 'gone from the plan' : row.to ? `leads to ${row.to}` : '' }}
            </td>
          </tr>
        </NearOnly>
      </table>
    </div>
  </section>
</template>

<style scoped src="./list.css"></style>
<style scoped>
select {
  border-bottom: 1px dashed var(--copper);
}
option {
  background: rgb(var(--v-theme-surface));
}
.words {
  width: 14ch;
}
</style>
