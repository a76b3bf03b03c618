<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from '../../state/display'
import { useHandover } from '../../state/handover'
import { useMarks } from '../../state/marks'
import { useProgress } from '../../state/progress'
import { zoneProgress } from './progress'
import { leftByZone } from './strings'

/** Zone by zone: what hangs and what was given; a strip, or a table where the window is wide. */
const display = useDisplay()
const handover = useHandover()
const marks = useMarks()
const progress = useProgress()
const zones = computed(() =>
  zoneProgress(
    display.view!,
    (piece) => display.legs.get(piece)?.lane,
    (controller) => handover.states.get(controller)?.state === 'GIVEN',
    (piece) => marks.seen.has(piece),
  ),
)
const left = computed(() => leftByZone(progress.strings))
</script>

<template>
  <section v-if="zones.length" class="zones" aria-label="Zone by zone" data-test="zones">
    <table>
      <thead>
        <tr>
          <th>Zone</th>
          <th>Hangs</th>
          <th v-if="handover.begun">Given</th>
          <th v-if="marks.begun">Seen right</th>
          <th v-if="progress.begun">Left tonight</th>
          <th>Pixels</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="zone in zones" :key="zone.id">
          <th scope="row">
            <span class="dot" :style="{ background: display.zoneColour(zone.id || undefined) }" />{{
              zone.name
            }}
          </th>
          <td class="mono" :class="{ done: zone.patched === zone.pieces }">
            {{ zone.patched === zone.pieces ? '✓ ' : '' }}{{ zone.patched }} of
            {{ zone.pieces }}
          </td>
          <td v-if="handover.begun" class="mono" :class="{ done: zone.given === zone.pieces }">
            {{ zone.given === zone.pieces ? '✓ ' : '' }}{{ zone.given }} of {{ zone.pieces }}
          </td>
          <td v-if="marks.begun" class="mono" :class="{ done: zone.seen === zone.strings }">
            {{ zone.seen === zone.strings ? '✓ ' : '' }}{{ zone.seen }} of {{ zone.strings
            }}<span class="narrow"> seen</span>
          </td>
          <td v-if="progress.begun" class="mono">
            <router-link
              v-if="left.has(zone.name)"
              :to="{ name: 'overview', params: { part: `strings-${zone.id}` } }"
              class="left"
              data-test="zone-left"
              >{{ left.get(zone.name)!.left }} left<span
                v-if="left.get(zone.name)!.trouble"
                class="wrong"
              >
                ▲ {{ left.get(zone.name)!.trouble }}</span
              ></router-link
            >
          </td>
          <td class="mono quiet">{{ zone.pixels.toLocaleString('en') }} px</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.zones table {
  border-collapse: collapse;
  font-size: 12.5px;
}
.zones th,
.zones td {
  text-align: left;
  padding: 2px 22px 2px 0;
  font-weight: 400;
}
.zones thead th {
  font-weight: 500;
}
.zones .done {
  color: rgb(var(--v-theme-success));
}
.dot {
  display: inline-block;
  width: 9px;
  height: 9px;
  margin-right: 8px;
}
.left {
  color: inherit;
}
.narrow {
  display: none;
}
.wrong {
  color: rgb(var(--v-theme-error));
}
@media (width < 1500px) {
  .zones thead {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  .narrow {
    display: inline;
  }
  .zones tbody {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 28px;
  }
  .zones tr {
    display: flex;
    gap: 10px;
  }
  .zones tbody th,
  .zones tbody td {
    padding: 0;
  }
}
</style>
