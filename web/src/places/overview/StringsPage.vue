<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, who } from '../../api/client'
import type { Condition, StringAt, StringEvent } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { blocksOf } from '../../parts/blocks'
import { matches } from '../../parts/matches'
import NearOnly from '../../parts/NearOnly.vue'
import { range } from '../../parts/range'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useProgress } from '../../state/progress'
import StringRow from './StringRow.vue'
import { CONDITIONS, SHOWN, shownOf, STAGES, type Shown } from './strings'
import TroubleForm from './TroubleForm.vue'

/** Where each string is: what is left tonight, what is in trouble, what was put away. */
const props = defineProps<{ zone?: string }>()

/** As high as most rows are (px). */
const ROW = 36

const display = useDisplay()
const progress = useProgress()
const router = useRouter()
const what = ref<Shown>('left')
const words = ref('')
const name = ref(who.get())
const taken = ref<string[]>([])
const last = ref<string>()
const troubling = ref<string[]>()
const condition = ref<Condition>('GOOD')
const lies = ref('')
const opened = ref<string>()
const events = ref<StringEvent[]>([])

const zones = computed(() =>
  display.view!.zones.map((zone) => ({ value: zone.id, title: zone.name })),
)
const zoneName = computed(() => zones.value.find((zone) => zone.value === props.zone)?.title)
const tagsOf = (one: StringAt) => display.pieces.get(one.piece)?.tags ?? []
const shown = computed(() =>
  shownOf(progress.strings, what.value, zoneName.value, (one) =>
    matches(words.value, one.title, one.written, ...tagsOf(one)),
  ),
)
const blocks = computed(() => blocksOf(shown.value, 60, 20))
watch(shown, (now) => {
  const there = new Set(now.map((one) => one.piece))
  taken.value = taken.value.filter((piece) => there.has(piece))
})

function toZone(zone?: string) {
  void router.push({
    name: 'overview',
    params: { part: zone ? `strings-${zone}` : 'strings' },
  })
}
function take(piece: string, event: MouseEvent) {
  const order = shown.value.map((one) => one.piece)
  if (event.shiftKey) {
    taken.value = [...new Set([...taken.value, ...range(order, last.value, piece)])]
  } else {
    taken.value = taken.value.includes(piece)
      ? taken.value.filter((one) => one !== piece)
      : [...taken.value, piece]
  }
  last.value = piece
}
function takeAll() {
  taken.value = taken.value.length === shown.value.length ? [] : shown.value.map((one) => one.piece)
}
async function open(piece: string) {
  if (opened.value === piece) {
    opened.value = undefined
  } else {
    events.value = await api.stringHistory(display.view!.id, piece)
    opened.value = piece
  }
}
function onKey(event: KeyboardEvent) {
  if (event.key === 'Escape' && taken.value.length) {
    taken.value = []
  }
}
async function putAway() {
  if (await progress.store(taken.value, condition.value, lies.value)) {
    taken.value = []
  }
}
</script>

<template>
  <div class="strings" @keydown="onKey">
    <div class="head">
      <p class="says">
        <InPlaceChoice
          :value="what"
          label="Which strings"
          :choices="[...SHOWN]"
          @change="(v) => (what = v as Shown)"
        />
        in
        <InPlaceChoice
          :value="zone"
          label="Zone"
          :choices="zones"
          none="all zones"
          @change="toZone"
        />
        with
        <input
          v-model="words"
          class="words"
          aria-label="Words of a name, a port or a tag"
          placeholder="any name, port or tag"
        />
      </p>
      <span class="quiet" role="status" data-test="strings-count">{{
        counted(shown.length, 'string')
      }}</span>
      <v-spacer />
      <span class="quiet"
        >said by
        <InPlaceText
          :value="name"
          label="Your name: it stands beside what you say"
          none="your name"
          :most="40"
          local
          @change="
            (v: string) => {
              who.set(v)
              name = v
            }
          "
      /></span>
    </div>

    <div v-if="taken.length" class="bar" data-test="strings-bar">
      <strong>{{ counted(taken.length, 'string') }}</strong>
      <v-btn
        v-for="one in STAGES"
        :key="one.stage"
        size="small"
        variant="outlined"
        @click="progress.reach(taken, one.stage)"
        >{{ one.title }}</v-btn
      >
      <v-btn size="small" color="error" variant="outlined" @click="troubling = [...taken]"
        >Trouble …</v-btn
      >
      <span class="away"
        >put away,
        <InPlaceChoice
          :value="condition"
          label="What they are good for"
          :choices="CONDITIONS"
          @change="(v) => (condition = v as Condition)"
        />, in
        <InPlaceText
          :value="lies"
          label="Where they lie"
          none="no place"
          local
          @change="(v: string) => (lies = v)"
        />
        <v-btn size="small" variant="outlined" data-test="put-away" @click="putAway"
          >Put away</v-btn
        >
      </span>
      <v-btn size="small" variant="text" @click="taken = []">Let go</v-btn>
    </div>
    <TroubleForm
      v-if="troubling"
      :pieces="troubling"
      @done="
        () => {
          troubling = undefined
          taken = []
        }
      "
    />

    <p v-if="!progress.strings.length" class="quiet none">
      No strings yet: type or paste them in
      <router-link :to="{ name: 'props' }">Props</router-link>.
    </p>
    <p v-else-if="!shown.length" class="quiet none" data-test="strings-none">
      {{ what === 'left' ? 'Nothing is left: every string has been seen right.' : 'None.' }}
    </p>
    <div v-else class="rows scrolls" tabindex="0" role="region" aria-label="Strings">
      <table>
        <thead>
          <tr>
            <th>
              <input
                type="checkbox"
                aria-label="Take all that are shown"
                :checked="taken.length === shown.length"
                @click="takeAll"
              />
            </th>
            <th>Tag</th>
            <th>String</th>
            <th>Zone</th>
            <th>Port</th>
            <th>How far it is</th>
            <th>Trouble, or where it lies</th>
          </tr>
        </thead>
        <NearOnly
          v-for="(block, b) in blocks"
          :key="b"
          as="tbody"
          :height="block.rows.length * ROW"
          :always="block.always"
        >
          <StringRow
            v-for="one in block.rows"
            :key="one.piece"
            :row="one"
            :taken="taken.includes(one.piece)"
            :events="opened === one.piece ? events : undefined"
            @take="(event) => take(one.piece, event)"
            @open="open(one.piece)"
            @trouble="troubling = [one.piece]"
          />
        </NearOnly>
      </table>
    </div>
  </div>
</template>

<style scoped>
.says {
  min-width: 0;
  max-width: 100%;
}
.strings {
  display: flex;
  flex-direction: column;
  min-height: 0;
  flex: 1;
  font-size: 13px;
}
.head,
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 4px 24px 8px;
}
.bar {
  background: var(--line);
  padding-top: 8px;
}
.words {
  width: 21ch;
  border-bottom: 1px dashed var(--copper);
}
.words::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.none {
  padding: 16px 24px;
}
.rows {
  padding: 0 24px 40px;
  flex: 1;
  min-height: 0;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  padding: 4px 14px 4px 0;
  border-bottom: 1px solid var(--line);
  font-weight: 400;
}
thead th {
  position: sticky;
  top: 0;
  z-index: 1;
  background: rgb(var(--v-theme-background));
  color: var(--quiet);
  font-size: 12px;
}
@media (width < 700px) {
  .head,
  .bar,
  .rows {
    padding-left: 12px;
    padding-right: 12px;
  }
}
@container (width < 700px) {
  thead {
    display: none;
  }
}
</style>
