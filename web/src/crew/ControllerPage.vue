<script setup lang="ts">
import { computed, watch } from 'vue'
import PortRibbon from './PortRibbon.vue'
import StageBar from './StageBar.vue'
import { may, moves, known, pages, reached, there, yard } from './known'
import { lookAtPage } from './yard'
import { ago } from './waiting'

/** All that is plugged in at a controller, in the order of its sockets. */
const props = defineProps<{ id: string }>()

const page = computed(() => pages.get(props.id))
const sheet = computed(() => page.value?.sheet)
const longest = computed(() =>
  Math.max(
    1,
    ...(sheet.value?.groups.flatMap((group) => group.ports.map((port) => port.places)) ?? []),
  ),
)
/** What was here when whoever holds the phone looked last, and is not any more. */
const gone = computed(() => {
  const tag = `${sheet.value?.tag}-`
  return (
    moves.value?.moves.filter((one) => one.from?.startsWith(tag) && !one.to?.startsWith(tag)) ?? []
  )
})
watch(
  () => props.id,
  (id) => {
    if (page.value?.version !== yard.value?.version) {
      void lookAtPage(id)
    }
  },
  { immediate: true },
)
</script>

<template>
  <div class="page" data-test="controller">
    <template v-if="sheet">
      <h1>
        <span class="mono">{{ sheet.tag }}</span> {{ sheet.name }}
      </h1>
      <p class="quiet">{{ sheet.model }}</p>
      <details>
        <summary>Address, supplies, fuses</summary>
        <dl>
          <template v-for="fact in sheet.facts" :key="fact.label">
            <dt class="quiet">{{ fact.label }}</dt>
            <dd>{{ fact.value }}</dd>
          </template>
        </dl>
      </details>
      <p v-for="caution in sheet.cautions" :key="caution" class="wrong">▲ {{ caution }}</p>
      <p v-for="one in gone" :key="one.piece" class="gone">
        {{ known.get(one.piece)?.title ?? one.piece }} is not here any more: moved from
        {{ one.from }} to {{ one.to ?? 'nowhere' }} {{ ago(one.at, there()) }}
      </p>
      <StageBar v-if="may('TICK')" />
      <template v-for="group in sheet.groups" :key="group.title">
        <h2>{{ group.title }}</h2>
        <PortRibbon
          v-for="port in group.ports"
          :key="port.written"
          :port="port"
          :longest="longest"
          :prints="page!.prints"
        />
      </template>
      <router-link
        v-if="may('RESCUE')"
        :to="{ name: 'rescue', params: { id } }"
        class="button"
        data-test="rescue"
        >It is dead: what now?</router-link
      >
    </template>
    <p v-else class="quiet">
      {{
        reached
          ? 'Looking for the controller …'
          : 'This phone has not seen this controller yet; come back into reach.'
      }}
    </p>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 12px;
}
summary {
  min-height: 48px;
  line-height: 48px;
}
.gone {
  font-weight: 700;
}
</style>
