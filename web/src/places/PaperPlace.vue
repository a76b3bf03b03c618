<script setup lang="ts">
import { mdiDownload } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../api/client'
import type { PaperSize, PaperView } from '../api/types'
import { counted } from '../parts/words'
import { useDisplay } from '../state/display'
import { latestOf } from '../state/latest'

/** What the crew holds in its hands, page by page as it will be printed. */
/** Whose sheet is shown; nothing: all of them. */
const props = defineProps<{ controller?: string }>()

const SIZES: { value: PaperSize; title: string }[] = [
  { value: 'A4', title: 'A4' },
  { value: 'LETTER', title: 'Letter' },
]
const SIZE = 'hamper.paper'

const display = useDisplay()
const size = ref<PaperSize>(localStorage.getItem(SIZE) === 'LETTER' ? 'LETTER' : 'A4')
const view = shallowRef<PaperView>()
const failed = ref(false)
const controllers = computed(() => display.view!.controllers.map((one) => one.controller))
const shown = computed(() => controllers.value.find((one) => one.id === props.controller))

const ask = latestOf<PaperView>((answer) => {
  view.value = answer
  failed.value = !answer
})
watch(
  [() => display.view!.id, () => display.view!.version, () => props.controller, size],
  () => {
    localStorage.setItem(SIZE, size.value)
    void ask(() => api.paper(display.view!.id, size.value, shown.value?.id))
  },
  { immediate: true },
)
const query = computed(() => {
  const whose = shown.value ? `&controller=${encodeURIComponent(shown.value.id)}` : ''
  return `size=${size.value}${whose}`
})
const at = computed(() => `/api/displays/${display.view!.id}/paper`)
/** The version stands in the address, so that a changed plan is asked for anew. */
const page = (number: number) =>
  `${at.value}/page.png?${query.value}&page=${number}&version=${view.value!.version}`
</script>

<template>
  <div class="paper">
    <div class="head">
      <h1>Paper</h1>
      <span v-if="view" class="quiet" role="status" data-test="paper-pages"
        >{{ shown ? `Crew sheet of ${shown.tag}` : 'Crew sheets of all' }},
        {{ counted(view.pages, 'page') }}</span
      >
      <v-spacer />
      <label class="size quiet"
        >Paper
        <select v-model="size" aria-label="Paper size" data-test="paper-size">
          <option v-for="one in SIZES" :key="one.value" :value="one.value">{{ one.title }}</option>
        </select></label
      >
      <v-btn
        color="primary"
        variant="flat"
        :prepend-icon="mdiDownload"
        :href="`${at}/crew.pdf?${query}`"
        download
        data-test="paper-pdf"
        >PDF</v-btn
      >
    </div>
    <p v-if="!controllers.length" class="quiet none">
      No controllers yet: a crew sheet is of one, with all that is plugged in there.
    </p>
    <div v-else class="both">
      <nav class="whose" aria-label="Whose sheet">
        <router-link
          :to="{ name: 'paper', params: { controller: '' } }"
          :class="{ here: !shown }"
          :aria-current="!shown ? 'page' : undefined"
          >All in one file</router-link
        >
        <router-link
          v-for="one in controllers"
          :key="one.id"
          :to="{ name: 'paper', params: { controller: one.id } }"
          :class="{ here: shown === one }"
          :aria-current="shown === one ? 'page' : undefined"
          :data-test="`paper-${one.tag}`"
          ><strong>{{ one.tag }}</strong> {{ one.name }}</router-link
        >
      </nav>
      <p v-if="failed" class="wrong" role="alert">The sheets could not be made; try again.</p>
      <div
        v-if="view"
        class="pages"
        data-test="pages"
        tabindex="0"
        role="region"
        aria-label="Pages"
      >
        <img
          v-for="n in view.pages"
          :key="page(n)"
          :src="page(n)"
          :alt="`Page ${n} of ${view.pages}`"
          :class="size.toLowerCase()"
          loading="lazy"
        />
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
.size select {
  border-bottom: 1px dashed var(--copper);
  color: rgb(var(--v-theme-on-surface));
}
.size option {
  background: rgb(var(--v-theme-surface));
}
.none {
  padding: 24px;
}
.both {
  flex: 1;
  min-height: 0;
  display: flex;
}
.whose {
  flex: 0 0 210px;
  overflow: auto;
  padding: 4px 12px 24px 24px;
  display: grid;
  align-content: start;
  font-size: 13px;
}
.whose a {
  color: inherit;
  text-decoration: none;
  padding: 4px 8px;
  border-left: 3px solid transparent;
  overflow-wrap: anywhere;
}
.whose a:hover {
  background: var(--line);
}
.whose .here {
  border-left-color: var(--copper);
  background: var(--line);
}
.pages {
  flex: 1;
  min-width: 0;
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
  .whose {
    flex: none;
    grid-auto-flow: column;
    padding: 0 12px 6px;
    white-space: nowrap;
  }
  .head {
    padding: 10px 12px 6px;
  }
  .pages {
    padding: 12px;
  }
}
</style>
