<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { PaperSize, PaperView } from '../api/types'
import { counted } from '../parts/words'
import { useDisplay } from '../state/display'
import { latestOf } from '../state/latest'
import DoorPage from './paper/DoorPage.vue'
import SheetText from './paper/SheetText.vue'
import ShoppingPage from './paper/ShoppingPage.vue'
import TagsPage from './paper/TagsPage.vue'
import UnitsPage from './paper/UnitsPage.vue'

/** What the crew holds in its hands, page by page as it will be printed, or as text. */
/** The sheet that is shown; nothing: all of them. */
const props = defineProps<{ sheet?: string }>()

const SIZES: { value: PaperSize; title: string }[] = [
  { value: 'A4', title: 'A4' },
  { value: 'LETTER', title: 'Letter' },
]
const SIZE = 'hamper.paper'
const AS_TEXT = 'hamper.paper-as-text'

const display = useDisplay()
const size = ref<PaperSize>(localStorage.getItem(SIZE) === 'LETTER' ? 'LETTER' : 'A4')
const asText = ref(localStorage.getItem(AS_TEXT) === 'true')
const view = shallowRef<PaperView>()
const failed = ref(false)

const ask = latestOf<PaperView>((answer) => {
  view.value = answer
  failed.value = !answer
})
watch(
  [
    () => display.view!.id,
    () => display.view!.version,
    () => display.besides,
    () => props.sheet,
    size,
  ],
  () => {
    localStorage.setItem(SIZE, size.value)
    const which = props.sheet === DOOR ? undefined : props.sheet
    void ask(() => api.paper(display.view!.id, size.value, which || undefined))
  },
  { immediate: true },
)
watch(asText, (value) => localStorage.setItem(AS_TEXT, String(value)))

/** No sheet: phones instead of paper. */
const DOOR = 'crew-door'
const shown = computed(() => view.value?.sheets.find((one) => one.id === props.sheet))
/** Sheets of one kind under one head; a kind of one sheet is its own head. */
const groups = computed(() => {
  const kinds = new Map<string, PaperView['sheets']>()
  view.value?.sheets.forEach((one) => kinds.set(one.group, [...(kinds.get(one.group) ?? []), one]))
  return [...kinds].map(([title, sheets]) => ({ title, sheets }))
})
const query = computed(() => {
  const which = props.sheet ? `&sheet=${encodeURIComponent(props.sheet)}` : ''
  return `size=${size.value}${which}`
})
const at = computed(() => `/api/displays/${display.view!.id}/paper`)
/** What a picture shows stands in its address, so that a changed plan is asked for anew. */
const page = (number: number) =>
  `${at.value}/page.png?${query.value}&page=${number}&version=${view.value!.version}-${display.besides}-${display.doorTold}`
const readsAsText = computed(() => asText.value && shown.value !== undefined)
</script>

<template>
  <div class="paper">
    <div class="head">
      <h1>Paper</h1>
      <span v-if="view" class="quiet" role="status" data-test="paper-pages"
        >{{ shown ? shown.title : 'All sheets' }}, {{ counted(view.pages, 'page') }}</span
      >
      <v-spacer />
      <label v-if="shown" class="size quiet"
        ><input v-model="asText" type="checkbox" data-test="as-text" /> as text</label
      >
      <label class="size quiet"
        >Paper
        <select v-model="size" aria-label="Paper size" data-test="paper-size">
          <option v-for="one in SIZES" :key="one.value" :value="one.value">{{ one.title }}</option>
        </select></label
      >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiDownload"
        :href="`${at}/everything.xlsx`"
        download
        title="Addresses, ports, props, loads, feeds, lists and tags, a table each"
        data-test="paper-xlsx"
        >Spreadsheet of everything</v-btn
      >
      <v-btn
        color="primary"
        variant="flat"
        :prepend-icon="mdiDownload"
        :href="`${at}/sheets.pdf?${query}`"
        download
        data-test="paper-pdf"
        >PDF</v-btn
      >
    </div>
    <div class="both">
      <nav class="which" aria-label="Sheets">
        <router-link
          :to="{ name: 'paper', params: { sheet: '' } }"
          :class="{ here: !sheet }"
          :aria-current="!sheet ? 'page' : undefined"
          >All in one file</router-link
        >
        <router-link
          :to="{ name: 'paper', params: { sheet: DOOR } }"
          :class="{ here: sheet === DOOR }"
          :aria-current="sheet === DOOR ? 'page' : undefined"
          data-test="crew-door"
          >Crew door: phones</router-link
        >
        <template v-for="group in groups" :key="group.title">
          <h2 v-if="group.sheets.length > 1">{{ group.title }}</h2>
          <router-link
            v-for="one in group.sheets"
            :key="one.id"
            :to="{ name: 'paper', params: { sheet: one.id } }"
            :class="{ here: sheet === one.id, many: group.sheets.length > 1 }"
            :aria-current="sheet === one.id ? 'page' : undefined"
            :data-test="`paper-${one.id}`"
            >{{ one.title }}</router-link
          >
        </template>
      </nav>
      <DoorPage v-if="sheet === DOOR" />
      <p v-else-if="failed" class="wrong" role="alert">
        {{
          sheet
            ? 'There is no such sheet any more, or it could not be made; choose another.'
            : 'The sheets could not be made; try again.'
        }}
      </p>
      <div v-else-if="view" class="main">
        <TagsPage v-if="shown?.kind === 'TAGS'" />
        <UnitsPage v-if="shown?.kind === 'UNITS'" />
        <ShoppingPage v-if="shown?.kind === 'SHOPPING'" />
        <SheetText v-if="readsAsText" :sheet="shown!.id" :version="view.version" />
        <div v-else class="pages" data-test="pages" tabindex="0" role="region" aria-label="Pages">
          <img
            v-for="n in view.pages"
            :key="page(n)"
            :src="page(n)"
            :alt="`Page ${n} of ${view.pages}${shown ? '; tick “as text” to read it' : ''}`"
            :class="size.toLowerCase()"
            loading="lazy"
          />
        </div>
      </div>
    </div>
  </div>
</template>

<style scoped>
.paper {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
  padding: 14px 24px 8px;
  font-size: 13px;
}
.size {
  display: flex;
  align-items: center;
  gap: 6px;
}
.size select {
  border-bottom: 1px dashed var(--copper);
  color: rgb(var(--v-theme-on-surface));
}
.size option {
  background: rgb(var(--v-theme-surface));
}
.both {
  flex: 1;
  min-height: 0;
  display: flex;
}
.which {
  flex: 0 0 226px;
  overflow: auto;
  padding: 4px 12px 24px 24px;
  display: grid;
  align-content: start;
  font-size: 13px;
}
.which h2 {
  font-size: 12px;
  font-weight: 500;
  color: var(--quiet);
  padding: 8px 8px 2px;
}
.which a {
  color: inherit;
  text-decoration: none;
  padding: 4px 8px;
  border-left: 3px solid transparent;
  overflow-wrap: anywhere;
}
.which .many {
  padding-left: 16px;
}
.which a:hover {
  background: var(--line);
}
.which .here {
  border-left-color: var(--copper);
  background: var(--line);
}
.main {
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.pages {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 16px 24px 40px;
  display: grid;
  justify-items: center;
  align-content: start;
  gap: 18px;
  background: var(--line);
}
.pages img {
  width: min(100%, 760px);
  aspect-ratio: 210 / 297;
  background: #fff;
  box-shadow: 0 1px 5px rgb(0 0 0 / 25%);
}
.pages .letter {
  aspect-ratio: 8.5 / 11;
}
.wrong {
  color: rgb(var(--v-theme-error));
  padding: 16px;
}
@media (width < 700px) {
  .both {
    flex-direction: column;
  }
  .which {
    flex: none;
    grid-auto-flow: column;
    grid-auto-columns: max-content;
    align-items: baseline;
    padding: 0 12px 6px;
    white-space: nowrap;
  }
  .which a {
    max-width: 46vw;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .head {
    padding: 10px 12px 6px;
  }
  .pages {
    padding: 12px;
  }
}
</style>
