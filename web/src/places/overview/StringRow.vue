<script setup lang="ts">
import { computed } from 'vue'
import type { StringAt, StringEvent } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { useGoThere } from '../../shell/goThere'
import { useDisplay } from '../../state/display'
import { useProgress } from '../../state/progress'
import { CONDITIONS, reached, STAGES, toggled } from './strings'

/** A string: where it hangs, how far it is, and what has happened to it where that is looked at. */
const props = defineProps<{ row: StringAt; taken: boolean; events?: StringEvent[] }>()
const emit = defineEmits<{ take: [event: MouseEvent]; open: []; trouble: [] }>()

const display = useDisplay()
const progress = useProgress()
const goThere = useGoThere()
const tag = computed(() => display.pieces.get(props.row.piece)?.tags?.[0])
const colour = computed(() =>
  display.zoneColour(display.propOfPiece.get(props.row.piece)?.prop.zone),
)
const photo = (event: StringEvent) =>
  `/api/displays/${display.view!.id}/progress/photos/${event.photo}`
</script>

<template>
  <tr :class="{ trouble: row.trouble }" :data-string="row.piece">
    <td>
      <input
        type="checkbox"
        :aria-label="`Take ${row.title}`"
        :checked="taken"
        @click="emit('take', $event)"
      />
    </td>
    <td class="mono">{{ tag }}</td>
    <td>
      <button type="button" class="to" :aria-expanded="events !== undefined" @click="emit('open')">
        {{ row.title }}
      </button>
    </td>
    <td><span class="dot" :style="{ background: colour }" />{{ row.zone }}</td>
    <td class="mono">
      <button v-if="row.port" type="button" class="to" @click="goThere({ piece: row.piece })">
        {{ row.written }}
      </button>
      <span v-else class="quiet">no port</span>
    </td>
    <td>
      <span class="stages" role="group" :aria-label="`How far ${row.title} is`">
        <button
          v-for="step in STAGES"
          :key="step.stage"
          type="button"
          :class="{ has: reached(row, step.stage) }"
          :aria-pressed="reached(row, step.stage)"
          :title="row.since && row.stage === step.stage ? `${row.by} ${moment(row.since)}` : ''"
          @click="progress.reach([row.piece], toggled(row, step.stage))"
        >
          {{ step.title }}
        </button>
      </span>
      <span v-if="row.elsewhere" class="wrong">▲ plugged in where the plan no longer has it</span>
    </td>
    <td>
      <template v-if="row.trouble">
        <span class="wrong">▲ {{ row.trouble.reason }}</span>
        <span class="quiet when"
          >{{ row.trouble.urgency.toLowerCase()
          }}{{ row.trouble.owner ? `, ${row.trouble.owner}` : '' }}</span
        >
        <button type="button" class="to act" @click="progress.settle([row.piece])">settled</button>
      </template>
      <span v-else-if="row.stored">
        {{ CONDITIONS.find((c) => c.value === row.stored?.condition)?.title }}
        <span v-if="row.stored.place" class="quiet">in {{ row.stored.place }}</span>
      </span>
      <button v-else type="button" class="to act quiet" @click="emit('trouble')">trouble …</button>
      <span v-if="row.note" class="note quiet">note: {{ row.note.text || 'a photo' }}</span>
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
          ><img :src="photo(event)" :alt="`Photo of ${row.title}`" loading="lazy"
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
