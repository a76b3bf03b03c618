<script setup lang="ts">
import { computed } from 'vue'
import type { StringAt, StringEvent } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { useProgress } from '../../state/progress'
import { CONDITIONS, reached, STAGES, toggled } from './strings'

/** A string: where it hangs, how far it is, and what has happened to it where that is looked at. */
const props = defineProps<{ string: StringAt; taken: boolean; events?: StringEvent[] }>()
const emit = defineEmits<{ take: [event: MouseEvent]; open: []; trouble: [] }>()

const display = useDisplay()
const progress = useProgress()
const goThere = useGoThere()
const tag = computed(() => display.pieces.get(props.string.piece)?.tags?.[0])
const colour = computed(() =>
  display.zoneColour(display.propOfPiece.get(props.string.piece)?.prop.zone),
)
const photo = (event: StringEvent) =>
  `/api/displays/${display.view!.id}/progress/photos/${event.photo}`
</script>

<template>
  <tr :class="{ trouble: string.trouble }" :data-string="string.piece">
    <td>
      <input
        type="checkbox"
        :aria-label="`Take ${string.title}`"
        :checked="taken"
        @click="emit('take', $event)"
      />
    </td>
    <td class="mono">{{ tag }}</td>
    <td>
      <button type="button" class="to" :aria-expanded="events !== undefined" @click="emit('open')">
        {{ string.title }}
      </button>
    </td>
    <td><span class="dot" :style="{ background: colour }" />{{ string.zone }}</td>
    <td class="mono">
      <button v-if="string.port" type="button" class="to" @click="goThere({ piece: string.piece })">
        {{ string.written }}
      </button>
      <span v-else class="quiet">no port</span>
    </td>
    <td>
      <span class="stages" role="group" :aria-label="`How far ${string.title} is`">
        <button
          v-for="step in STAGES"
          :key="step.stage"
          type="button"
          :class="{ has: reached(string, step.stage) }"
          :aria-pressed="reached(string, step.stage)"
          :title="
            string.since && string.stage === step.stage
              ? `${string.by} ${moment(string.since)}`
              : ''
          "
          @click="progress.reach([string.piece], toggled(string, step.stage))"
        >
          {{ step.title }}
        </button>
      </span>
      <span v-if="string.elsewhere" class="wrong"
        >▲ plugged in where the plan no longer has it</span
      >
    </td>
    <td>
      <template v-if="string.trouble">
        <span class="wrong">▲ {{ string.trouble.reason }}</span>
        <span class="quiet when"
          >{{ string.trouble.urgency.toLowerCase()
          }}{{ string.trouble.owner ? `, ${string.trouble.owner}` : '' }}</span
        >
        <button type="button" class="to act" @click="progress.settle([string.piece])">
          settled
        </button>
      </template>
      <span v-else-if="string.stored">
        {{ CONDITIONS.find((c) => c.value === string.stored?.condition)?.title }}
        <span v-if="string.stored.place" class="quiet">in {{ string.stored.place }}</span>
      </span>
      <button v-else type="button" class="to act quiet" @click="emit('trouble')">trouble …</button>
      <span v-if="string.note" class="note quiet">note: {{ string.note.text || 'a photo' }}</span>
    </td>
  </tr>
  <tr v-if="events" class="history">
    <td></td>
    <td colspan="6">
      <p v-if="!events.length" class="quiet">Nothing has happened to it yet.</p>
      <p v-for="event in events" :key="event.at + event.told">
        <span class="mono quiet">{{ moment(event.at) }}</span> {{ event.told }}
        <span v-if="event.by" class="quiet">said {{ event.by }}</span>
        <a v-if="event.photo" :href="photo(event)" target="_blank" rel="noopener"
          ><img :src="photo(event)" :alt="`Photo of ${string.title}`" loading="lazy"
        /></a>
      </p>
    </td>
  </tr>
</template>

<style scoped>
td {
  padding: 4px 14px 4px 0;
  border-bottom: 1px solid var(--line);
}
.dot {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 8px;
}
.to {
  text-align: left;
  text-decoration: underline dotted var(--line-strong);
  text-underline-offset: 3px;
  overflow-wrap: anywhere;
}
.act:not(:first-child),
.when {
  margin-left: 8px;
}
.stages {
  display: inline-flex;
}
.stages button {
  padding: 3px 8px;
  font-size: 12px;
  border-bottom: 3px solid var(--line-strong);
  margin-right: 2px;
  color: var(--quiet);
  white-space: nowrap;
}
.stages button:hover {
  background: var(--line);
}
.stages .has {
  border-bottom-color: rgb(var(--v-theme-success));
  color: rgb(var(--v-theme-on-surface));
}
.wrong {
  color: rgb(var(--v-theme-error));
  overflow-wrap: anywhere;
}
.note {
  display: block;
  overflow-wrap: anywhere;
}
.history img {
  display: block;
  max-width: 260px;
  max-height: 180px;
  margin: 4px 0;
}
@container (width < 700px) {
  tr {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 10px;
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
  td {
    border: none;
    padding: 0;
  }
  .stages {
    flex-wrap: wrap;
  }
  .stages button {
    min-height: 40px;
  }
}
</style>
