<script setup lang="ts">
import { mdiContentCopy, mdiDownload } from '@mdi/js'
import { computed } from 'vue'
import { api } from '../../api/client'
import type { AddressAt, HandedList, MovedAddress, SendLine } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import SendListTable from './SendListTable.vue'

/** Lists that people are handed: one for each source, and one for whoever makes the show. */
const props = defineProps<{
  list: HandedList
  lines: SendLine[]
  moved: MovedAddress[]
  base: string
}>()

const display = useDisplay()
const show = computed(() => props.list.source === 'show')
const own = computed(() =>
  props.lines.filter((line) => (line.sourceId ?? 'none') === props.list.source),
)
const stands = computed(() => {
  const { version, at, by, differs } = props.list
  if (version === undefined) {
    return show.value ? 'Nobody has confirmed a version yet.' : 'Never handed over.'
  }
  const what = show.value ? 'Built on' : 'Handed over at'
  const ago = `${what} version ${version}, ${moment(at!)}${by ? ` by ${by}` : ''}`
  return differs.length
    ? `${ago}. The yard is at version ${display.view!.version}: ${counted(differs.length, 'line differs', 'lines differ')}.`
    : `${ago}. Nothing has changed of it since.`
})
const place = (at: AddressAt) =>
  `${at.written} ${at.start ? `${at.start.universe}:${at.start.channel}` : `channel ${at.own}`}`
async function confirm() {
  await display.attempt(() => api.handList(display.view!.id, props.list.source))
  display.said = {
    text: show.value
      ? `The show is built on version ${display.view!.version}`
      : `${props.list.title} has its send list`,
    canUndo: false,
  }
}
async function copy() {
  await navigator.clipboard?.writeText(props.list.differs.join('\n')).catch(() => undefined)
  display.said = { text: `Copied ${counted(props.list.differs.length, 'line')}`, canUndo: false }
}
</script>

<template>
  <section :aria-label="`List for ${list.title}`">
    <div class="head">
      <h2>
        {{ show ? 'For whoever makes the show' : `Send list of ${list.title}` }}
      </h2>
      <v-spacer />
      <template v-if="show">
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/show-list.csv`" download>CSV</v-btn>
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/show-list.xlsx`" download>XLSX</v-btn>
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/show-list.txt`" download>Text</v-btn>
      </template>
      <template v-else>
        <v-btn :prepend-icon="mdiDownload" :href="`${base}/send-list.csv`" download>CSV</v-btn>
        <v-btn
          :prepend-icon="mdiDownload"
          :href="`${base}/send-list.json`"
          download
          data-test="download-send-list"
          >JSON</v-btn
        >
      </template>
      <v-btn color="primary" variant="flat" data-test="hand-list" @click="confirm">{{
        show ? `They have version ${display.view!.version}` : `${list.title} is told this`
      }}</v-btn>
    </div>
    <p :class="{ stale: list.differs.length }" role="status" data-test="list-stands">
      {{ stands }}
    </p>
    <div v-if="list.differs.length" class="differs" data-test="list-differs">
      <div class="head">
        <strong>What differs</strong>
        <v-spacer />
        <v-btn size="small" :prepend-icon="mdiContentCopy" @click="copy">Copy</v-btn>
        <v-btn
          v-if="show"
          size="small"
          :prepend-icon="mdiDownload"
          :href="`${base}/moved.csv`"
          download
          >Moved props, CSV</v-btn
        >
      </div>
      <ul>
        <li v-for="line in list.differs.slice(0, 200)" :key="line">{{ line }}</li>
      </ul>
      <p v-if="list.differs.length > 200" class="quiet">and {{ list.differs.length - 200 }} more</p>
    </div>
    <template v-if="show">
      <p class="quiet lead">
        Every prop with its first and last address, how its pixels run, groups, walls and limits,
        and what moved since the version that they have. The file says of which version it is.
      </p>
      <template v-if="moved.length">
        <h3>Elsewhere than when their controllers were given</h3>
        <ul class="moved">
          <li v-for="one in moved.slice(0, 200)" :key="`${one.is.piece} ${one.is.section}`">
            <strong>{{ one.is.title }}</strong>
            <span v-if="one.is.section > 1" class="quiet"> section {{ one.is.section }}</span>
            <span class="mono"> {{ place(one.was) }} → {{ place(one.is) }}</span>
          </li>
        </ul>
      </template>
    </template>
    <SendListTable v-else :lines="own" />
  </section>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.stale {
  color: rgb(var(--v-theme-warning));
}
p {
  padding: 4px 0 10px;
}
h3 {
  font-size: 13px;
  font-weight: 600;
}
.moved {
  list-style: none;
  font-size: 13px;
}
.lead {
  max-width: 66ch;
}
.differs {
  border-left: 4px solid rgb(var(--v-theme-warning));
  background: rgb(var(--v-theme-surface));
  padding: 6px 14px 10px;
  margin-bottom: 12px;
  font-size: 13px;
}
.differs ul {
  padding-left: 18px;
}
</style>
