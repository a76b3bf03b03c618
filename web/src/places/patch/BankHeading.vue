<script setup lang="ts">
import { computed } from 'vue'
import type { ControllerView, LaneView } from '../../api/types'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import { useDisplay } from '../../state/display'

/** A bank of ports with the chain of its remote boxes and their cables; it takes a drop, as its ports do. */
const props = defineProps<{ view: ControllerView; lane: LaneView; aimed: boolean }>()

const display = useDisplay()
const bank = computed(() => props.lane.bank!)
const most = computed(() => props.lane.bank!.mostBoxes)
const boxes = computed(() =>
  Array.from({ length: bank.value.boxes }, (_, i) => ({
    number: i + 1,
    letter: String.fromCharCode(65 + i),
    metres: props.view.controller.cables.find(
      (cable) => cable.bank === bank.value.bank && cable.box === i + 1,
    )?.metres,
  })),
)
/** The cable to a box; none takes it away, and with it the last box of a chain. */
function set(box: number, metres?: number) {
  const others = props.view.controller.cables.filter(
    (cable) => cable.bank !== bank.value.bank || cable.box !== box,
  )
  const cables = metres === undefined ? others : [...others, { bank: bank.value.bank, box, metres }]
  void display.setController(props.view.controller.id, { cables })
}
</script>

<template>
  <div
    class="bank mono"
    :class="{ aimed }"
    :data-bank="view.controller.id"
    :data-from="lane.port.port"
    data-test="bank"
  >
    bank {{ bank.bank }}
    <span v-for="box in boxes" :key="box.number" class="box">
      <template v-if="box.number > 1">→ </template>box {{ box.letter }}
      <InPlaceNumber
        :value="box.metres"
        none="cable?"
        :label="`Cable to box ${box.letter} of bank ${bank.bank}, metres`"
        :least="0"
        :most="1000"
        :step="0.1"
        @change="(metres) => set(box.number, metres)"
      /><template v-if="box.metres !== undefined"> m</template>
    </span>
    <button
      v-if="boxes.length < most"
      type="button"
      class="add"
      :aria-label="`Add box ${String.fromCharCode(65 + boxes.length)} to bank ${bank.bank}`"
      @click="set(boxes.length + 1, 0)"
    >
      + box {{ String.fromCharCode(65 + boxes.length) }}
    </button>
  </div>
</template>

<style scoped>
.bank {
  height: 100%;
  font-size: 11.5px;
  padding: 3px 0 0 16px;
  border-bottom: 1px solid var(--line);
  display: flex;
  gap: 12px;
}
.bank {
  position: relative;
}
/* the cable to its boxes goes down from here */
.bank::before {
  content: '';
  position: absolute;
  top: 50%;
  bottom: -1px;
  left: 5px;
  width: 3px;
  border-radius: 3px 0 0 0;
  background: var(--line-strong);
}
.aimed {
  background: color-mix(in srgb, var(--copper) 26%, transparent);
}
.add {
  color: var(--copper);
}
.add:hover {
  text-decoration: underline;
}
</style>
