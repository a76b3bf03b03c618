<script setup lang="ts">
import { computed } from 'vue'
import type { BlockChange, BlockView, ControllerView } from '../../api/types'
import { PROTOCOLS } from '../../parts/words'
import { useDisplay } from '../../state/display'

/**
 * All universes to scale, one line a protocol: blocks as they are used, their reserve, what is
 * fixed, the stride, what two controllers share, and as an outline what an edit would make of it.
 */
const props = defineProps<{ width: number; tried: BlockChange[]; lit?: string }>()
const emit = defineEmits<{
  point: [controller: string | undefined]
  choose: [controller: string]
}>()

const LABEL = 70
const BAR = 20
const display = useDisplay()
const settings = computed(() => display.view!.settings)

interface Span {
  key: string
  from: number
  to: number
  used: number
  view: ControllerView
  dmx: boolean
}
/** Universes of a block: its flowing part, and each DMX line on its own. */
function spansOf(view: ControllerView, block: BlockView): Span[] {
  const id = view.controller.id
  const spans: Span[] = block.dmxUniverses.map((universe) => ({
    key: `${id} ${universe}`,
    from: universe,
    to: universe + 1,
    used: universe + 1,
    view,
    dmx: true,
  }))
  const first = block.firstUniverse
  if (first !== undefined && block.flowingUniverses > 0) {
    const used = first + Math.ceil(block.usedChannels / block.universeSize)
    spans.unshift({
      key: id,
      from: first,
      to: first + block.flowingUniverses,
      used,
      view,
      dmx: false,
    })
  }
  return spans
}

const tried = computed(
  () => new Map(props.tried.map((change) => [change.controller, change.after])),
)
const lines = computed(() =>
  (['E131', 'ARTNET'] as const)
    .map((protocol) => {
      const views = display.view!.controllers.filter((view) => view.protocol === protocol)
      const spans = views.flatMap((view) => spansOf(view, view.block))
      const ghosts = views.flatMap((view) => {
        const after = tried.value.get(view.controller.id)
        return after ? spansOf(view, after) : []
      })
      return { protocol, ...layered(spans), ghosts }
    })
    .filter((line) => line.spans.length + line.ghosts.length > 0),
)
const bytes = computed(() =>
  display.view!.controllers.filter((view) => view.protocol === 'DDP' && view.block.channels > 0),
)

/** Blocks that share universes stand on different levels. */
function layered(spans: Span[]) {
  const ends: number[] = []
  const placed = [...spans]
    .sort((a, b) => a.from - b.from)
    .map((span) => {
      let level = ends.findIndex((end) => end <= span.from)
      level = level < 0 ? ends.length : level
      ends[level] = span.to
      return { ...span, level }
    })
  const shared = placed.flatMap((a, i) =>
    placed
      .slice(i + 1)
      .filter((b) => b.from < a.to && a.from < b.to)
      .map((b) => ({
        key: `${a.key} ${b.key}`,
        from: Math.max(a.from, b.from),
        to: Math.min(a.to, b.to),
        wrong: collides(a.view, b.view),
        title: `${a.view.controller.tag} and ${b.view.controller.tag} share universes`,
      })),
  )
  return { spans: placed, levels: Math.max(1, ends.length), shared }
}
/** Whether the checks say that the same packets reach both. */
function collides(a: ControllerView, b: ControllerView): boolean {
  return display.view!.findings.some((finding) => {
    const named = finding.subjects.map((subject) => subject.controller)
    return (
      finding.severity === 'FAULT' &&
      named.includes(a.controller.id) &&
      named.includes(b.controller.id)
    )
  })
}

const range = computed(() => {
  const all = lines.value.flatMap((line) => [...line.spans, ...line.ghosts])
  const first = Math.min(settings.value.firstUniverse, ...all.map((span) => span.from))
  const last = Math.max(first + 8, ...all.map((span) => span.to))
  return { first, last, count: last - first + 1 }
})
const scale = computed(() => (props.width - LABEL - 8) / range.value.count)
const x = (universe: number) => LABEL + (universe - range.value.first) * scale.value

/** Where assigned blocks may begin, as far as that is not a grey field. */
const strides = computed(() => {
  const { firstUniverse, universeStride } = settings.value
  const all: number[] = []
  if (universeStride > 1 && universeStride * scale.value > 5) {
    for (let at = firstUniverse; at <= range.value.last; at += universeStride) {
      all.push(at)
    }
  }
  return all
})
const numbers = computed(() => {
  const step = Math.max(1, Math.ceil(34 / scale.value))
  const every = Math.ceil(step / settings.value.universeStride) * settings.value.universeStride
  const all: number[] = []
  for (let at = range.value.first; at <= range.value.last; at += every) {
    all.push(at)
  }
  return all
})
/** Spans whose tag has room: one before the next begins. */
const labelled = computed(() => {
  const keys = new Set<string>()
  for (const line of lines.value) {
    line.spans.forEach((span) => {
      const next = line.spans.find((one) => one.level === span.level && one.from >= span.to)
      const room = ((next?.from ?? range.value.last + 1) - span.from) * scale.value
      if (room > 7.5 * span.view.controller.tag.length + 6) {
        keys.add(span.key)
      }
    })
  }
  return keys
})
const tops = computed(() => {
  let at = 14
  return lines.value.map((line) => {
    const top = at
    at += line.levels * (BAR + 3) + 14
    return top
  })
})
const height = computed(
  () => 20 + lines.value.reduce((sum, line) => sum + line.levels * (BAR + 3) + 14, 0),
)
const fixed = (span: Span) => !span.dmx && span.view.controller.settings.firstUniverse !== undefined
function told(span: Span): string {
  const { tag, name } = span.view.controller
  const range = span.to - span.from > 1 ? `${span.from} – ${span.to - 1}` : `${span.from}`
  const reserve = span.to > span.used ? `, ${span.to - span.used} of them in reserve` : ''
  return `${tag} ${name}: ${span.dmx ? 'DMX line, ' : ''}universe ${range}${reserve}, ${fixed(span) ? 'fixed' : 'assigned'}`
}
</script>

<template>
  <div class="strip" data-test="universes">
    <svg :width="width" :height="height" role="img" aria-label="Universes of all controllers">
      <defs>
        <pattern id="reserve" width="6" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 6L6 0" stroke="var(--line-strong)" />
        </pattern>
        <pattern id="shared" width="5" height="5" patternUnits="userSpaceOnUse">
          <path d="M0 5L5 0M0 0L5 5" stroke="rgb(var(--v-theme-error))" />
        </pattern>
      </defs>
      <line
        v-for="at in strides"
        :key="at"
        :x1="x(at)"
        :x2="x(at)"
        y1="12"
        :y2="height - 16"
        class="stride"
      />
      <text v-for="at in numbers" :key="at" :x="x(at) + 2" :y="height - 3" class="number mono">
        {{ at }}
      </text>
      <g v-for="(line, i) in lines" :key="line.protocol">
        <text x="0" :y="tops[i] + 14" class="protocol">{{ PROTOCOLS[line.protocol] }}</text>
        <g
          v-for="span in line.spans"
          :key="span.key"
          class="span"
          :class="{ lit: lit === span.view.controller.id, out: tried.has(span.view.controller.id) }"
          @pointerenter="emit('point', span.view.controller.id)"
          @pointerleave="emit('point', undefined)"
          @click="emit('choose', span.view.controller.id)"
        >
          <title>{{ told(span) }}</title>
          <rect
            :x="x(span.from)"
            :y="tops[i] + span.level * (BAR + 3)"
            :width="Math.max(2, (span.to - span.from) * scale - 1)"
            :height="BAR"
            class="all"
          />
          <rect
            :x="x(span.from)"
            :y="tops[i] + span.level * (BAR + 3)"
            :width="Math.max(2, (Math.min(span.to, span.used) - span.from) * scale - 1)"
            :height="BAR"
            class="ground"
          />
          <rect
            :x="x(span.from)"
            :y="tops[i] + span.level * (BAR + 3)"
            :width="Math.max(2, (Math.min(span.to, span.used) - span.from) * scale - 1)"
            :height="BAR"
            :fill="display.zoneColour(span.view.controller.settings.zone)"
            class="used"
            :class="{ dmx: span.dmx }"
          />
          <path
            v-if="fixed(span)"
            :d="`M${x(span.from)} ${tops[i] + span.level * (BAR + 3) - 5}h7l-3.5 6z`"
            class="pin"
          />
          <text
            v-if="labelled.has(span.key)"
            :x="x(span.from) + 4"
            :y="tops[i] + span.level * (BAR + 3) + 14"
            class="tag mono"
          >
            {{ span.view.controller.tag }}
          </text>
        </g>
        <rect
          v-for="one in line.shared"
          :key="one.key"
          :x="x(one.from)"
          :y="tops[i]"
          :width="(one.to - one.from) * scale"
          :height="line.levels * (BAR + 3)"
          :fill="one.wrong ? 'url(#shared)' : 'none'"
          class="shared"
          :class="{ wrong: one.wrong }"
        >
          <title>{{ one.title }}{{ one.wrong ? '' : ', sent to different addresses' }}</title>
        </rect>
        <rect
          v-for="ghost in line.ghosts"
          :key="`ghost ${ghost.key}`"
          :x="x(ghost.from)"
          :y="tops[i] - 3"
          :width="Math.max(3, (ghost.to - ghost.from) * scale - 1)"
          :height="BAR + 6"
          class="ghost"
        />
      </g>
    </svg>
    <p v-if="bytes.length" class="bytes">
      <span class="protocol">DDP</span>
      <button
        v-for="view in bytes"
        :key="view.controller.id"
        type="button"
        class="mono"
        :class="{ lit: lit === view.controller.id }"
        @pointerenter="emit('point', view.controller.id)"
        @pointerleave="emit('point', undefined)"
        @click="emit('choose', view.controller.id)"
      >
        {{ view.controller.tag }} bytes {{ view.block.from }} – {{ view.block.to }}
      </button>
    </p>
  </div>
</template>

<style scoped>
svg {
  display: block;
}
.stride {
  stroke: var(--line);
}
.number {
  font-size: 10.5px;
  fill: var(--quiet);
}
.protocol {
  font-size: 12.5px;
  font-weight: 600;
  fill: rgb(var(--v-theme-on-surface));
}
.span {
  cursor: pointer;
}
.all {
  fill: url(#reserve);
  stroke: var(--line-strong);
}
.ground {
  fill: rgb(var(--v-theme-background));
}
.used {
  fill-opacity: 0.4;
}
.used.dmx {
  fill-opacity: 0.75;
}
.lit .used {
  fill-opacity: 0.9;
}
.out {
  opacity: 0.45;
}
.pin {
  fill: var(--copper);
}
.tag {
  font-size: 11.5px;
  font-weight: 500;
  fill: rgb(var(--v-theme-on-surface));
  pointer-events: none;
}
.shared {
  stroke: var(--line-strong);
  stroke-dasharray: 2 2;
  fill-opacity: 0.6;
}
.shared.wrong {
  stroke: rgb(var(--v-theme-error));
}
.ghost {
  fill: none;
  stroke: var(--copper);
  stroke-width: 2;
  stroke-dasharray: 5 3;
}
.bytes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  font-size: 12px;
}
.bytes .protocol {
  width: 56px;
}
.bytes .lit {
  text-decoration: underline;
}
</style>
