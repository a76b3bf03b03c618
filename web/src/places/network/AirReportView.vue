<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AirLine, AirReport } from '../../api/types'
import { counted, PROTOCOLS } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { HEARD, lineTold, rowsOf, senderTold } from './air'

/** What is planned beside what was heard: findings, then every universe of every controller. */
const props = defineProps<{ report: AirReport }>()

const display = useDisplay()
const rows = computed(() => rowsOf(props.report))
const pointed = ref<AirLine>()
const tagOf = (controller: string) => display.controllerOf(controller)?.controller.tag ?? '?'
const nameOf = (controller: string) => display.controllerOf(controller)?.controller.name ?? ''
/** Universes with a finding of more than their state. */
const odd = computed(
  () =>
    new Set(
      props.report.findings.flatMap((one) =>
        Array.from(
          { length: one.lastUniverse - one.firstUniverse + 1 },
          (_, i) => `${one.protocol} ${one.firstUniverse + i} ${one.controllers.join()}`,
        ),
      ),
    ),
)
function isOdd(line: AirLine) {
  const { protocol, universe, controllers } = line.planned
  return odd.value.has(`${protocol} ${universe} ${controllers.join()}`)
}
/** Bytes on DDP take the room of as many universes. */
const widthOf = (line: AirLine) =>
  line.planned.protocol === 'DDP' ? Math.max(26, (line.planned.size / 512) * 28) : 26
</script>

<template>
  <div class="report">
    <ul v-if="report.findings.length" class="findings" data-test="air-findings">
      <li v-for="(one, i) in report.findings" :key="i" :data-kind="one.kind">
        <span class="wrong">▲</span> {{ one.text }}
      </li>
    </ul>
    <p v-else-if="report.lines.length" class="right" data-test="air-agrees">
      ✓ What can be heard is what is planned.
    </p>
    <p v-if="!report.lines.length" class="quiet">Nothing is planned to be sent yet.</p>
    <div v-for="row in rows" :key="row.controller" class="row" :data-air="row.controller">
      <h3>
        {{ tagOf(row.controller) }} <span class="quiet">{{ nameOf(row.controller) }}</span>
      </h3>
      <div class="cells" role="img" :aria-label="`${tagOf(row.controller)}: ${row.told}`">
        <span
          v-for="(line, i) in row.lines"
          :key="i"
          class="cell mono"
          :class="[line.state.toLowerCase(), { odd: line.state !== 'NOT_HEARD' && isOdd(line) }]"
          :style="{ width: `${widthOf(line)}px` }"
          :title="lineTold(line)"
          :data-state="line.state"
          @pointerenter="pointed = line"
          @pointerleave="pointed = undefined"
          >{{ line.planned.protocol === 'DDP' ? 'DDP' : line.planned.universe }}</span
        >
      </div>
      <p class="told quiet">{{ row.told }}</p>
    </div>
    <section v-if="report.others.length" aria-label="Not planned">
      <h3>Nobody planned</h3>
      <ul class="others mono">
        <li v-for="(one, i) in report.others" :key="i">
          {{ PROTOCOLS[one.protocol] }}{{ one.protocol === 'DDP' ? '' : ` ${one.universe}` }} from
          {{ senderTold(one) }} to
          {{ one.to }}
        </li>
      </ul>
    </section>
    <p class="legend quiet">
      <template v-for="(title, state) in HEARD" :key="state"
        ><span class="cell small" :class="state.toLowerCase()" /> {{ title }}
      </template>
      · {{ counted(report.lines.length, 'planned stream') }}
    </p>
    <p class="under mono quiet">{{ pointed ? lineTold(pointed) : '' }}</p>
  </div>
</template>

<style scoped>
.report {
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr);
}
.findings {
  list-style: none;
  display: grid;
  gap: 3px;
  font-size: 13px;
  max-height: 34vh;
  overflow: auto;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
.right {
  color: rgb(var(--v-theme-success));
}
.row {
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr);
  gap: 0 14px;
  align-items: center;
}
h3 {
  font-size: 13px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
h3 span {
  font-weight: 400;
}
.cells {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
}
.cell {
  height: 18px;
  font-size: 10.5px;
  line-height: 18px;
  text-align: center;
  border-radius: 2px;
  border: 1px solid var(--line-strong);
  max-width: 100%;
  overflow: hidden;
  line-height: 16px;
}
.cell.small {
  display: inline-block;
  width: 14px;
  height: 12px;
  margin-left: 10px;
  vertical-align: -1px;
}
.heard {
  background: rgb(var(--v-theme-on-surface));
  color: rgb(var(--v-theme-background));
}
.counted {
  background: repeating-linear-gradient(
    90deg,
    color-mix(in srgb, rgb(var(--v-theme-on-surface)) 16%, transparent) 0 2px,
    transparent 2px 5px
  );
}
.not_heard {
  border: 1px dashed rgb(var(--v-theme-error));
  color: rgb(var(--v-theme-error));
}
.cannot_be_heard {
  color: var(--quiet);
  border-style: dotted;
}
.odd {
  outline: 2px solid rgb(var(--v-theme-error));
  outline-offset: 1px;
}
.told {
  grid-column: 2;
  font-size: 12px;
}
.others {
  list-style: none;
  font-size: 12.5px;
}
.legend,
.under {
  font-size: 12px;
  min-height: 18px;
}
.legend .small:first-child {
  margin-left: 0;
}
@media (width < 700px) {
  .row {
    grid-template-columns: minmax(0, 1fr);
  }
  .told {
    grid-column: 1;
  }
}
</style>
