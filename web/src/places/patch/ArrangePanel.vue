<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { AIMS, costTold, stepTold, wishesTold } from '../../parts/arrangeWords'
import { outcome } from '../../parts/previewWords'
import { counted } from '../../parts/words'
import { useArranging } from '../../state/arranging'
import { portKey, useDisplay } from '../../state/display'
import { usePatching } from '../../state/patching'

/**
 * Places for what hangs nowhere, for three aims side by side: ghosts on the ports, a reason for each
 * piece; taken as a whole or piece by piece, as one step.
 */
const props = defineProps<{ zone?: string }>()
const emit = defineEmits<{ done: [] }>()

/** Rows that are shown of a proposal; of more, one looks at a controller alone. */
const MOST_ROWS = 200

const display = useDisplay()
const patching = usePatching()
const arranging = useArranging(props.zone)
const { found, chosen, spread, move, without, failed, step, wanted } = arranging
const { shown, hung, edit, byController, additions, asked } = arranging
const panel = ref<HTMLElement>()
/** The controller whose pieces alone are listed. */
const only = ref('')
watch(panel, (element) => element?.focus())
watch(shown, () => (only.value = ''))

const listed = computed(() => {
  const pieces = new Set(byController.value.find(([tag]) => tag === only.value)?.[1])
  return only.value ? hung.value.filter((one) => pieces.has(one.piece)) : hung.value
})
const stays = computed(() =>
  move.value
    ? 'What is held, given, set at hardware or mirrored stays.'
    : 'What hangs stays where it is.',
)
/** What moves makes room for others: with some left out it is another plan than the one checked. */
const checked = computed(() => !without.value.size || !hung.value.some((one) => one.from))

async function take() {
  const making = edit.value
  if (making) {
    emit('done')
    await display.edit(making)
  }
}
function onKey(event: KeyboardEvent) {
  const steps: Record<string, number> = { ArrowLeft: -1, ArrowRight: 1 }
  if (event.key === 'Escape') {
    emit('done')
  } else if (event.target === panel.value && event.key === 'Enter') {
    void take()
  } else if (event.target === panel.value && steps[event.key]) {
    arranging.chooseNext(steps[event.key])
  } else {
    return
  }
  event.preventDefault()
}
</script>

<template>
  <section
    ref="panel"
    class="panel"
    tabindex="0"
    aria-label="Arrange: Enter takes the proposal, left and right choose another aim"
    data-test="arrange-panel"
    @keydown="onKey"
  >
    <div class="aims" role="group" aria-label="Aims">
      <button
        v-for="one in AIMS"
        :key="one.aim"
        type="button"
        :aria-pressed="one.aim === chosen"
        :class="{ here: one.aim === chosen }"
        :data-test="`aim-${one.aim}`"
        @click="arranging.choose(one.aim)"
      >
        <strong>{{ one.title }}</strong>
        <span v-if="found[one.aim]" class="mono">
          {{ costTold(found[one.aim]!, wanted.length)
          }}{{ found[one.aim]!.proposal.stopped ? ' · stopped' : '' }}
        </span>
        <span v-else-if="!wanted.length" class="quiet">nothing hangs nowhere</span>
        <span v-else-if="step?.aim === one.aim" class="quiet" role="status">{{
          stepTold(step)
        }}</span>
        <span v-else class="quiet">{{ failed ? 'not worked out' : 'looking …' }}</span>
      </button>
      <p class="ways">
        <label
          ><input v-model="spread" type="checkbox" data-test="spread" /> spread each zone</label
        >
        <label><input v-model="move" type="checkbox" data-test="move" /> what hangs may move</label>
        <button v-if="step" type="button" class="to" data-test="stop" @click="arranging.stop">
          stop, and take what there is
        </button>
      </p>
    </div>
    <p v-if="failed" class="left" role="status">▲ {{ failed }}</p>
    <div v-if="shown" class="rows">
      <p
        v-if="byController.length > 1"
        class="boxes"
        role="group"
        aria-label="By controller"
        tabindex="0"
      >
        <span v-for="[tag, pieces] in byController" :key="tag" :data-box="tag"
          ><input
            type="checkbox"
            :aria-label="`Take what hangs on ${tag}`"
            :checked="arranging.isTaken(pieces)"
            @change="arranging.turn(pieces)"
          /><button
            type="button"
            class="to mono"
            :aria-pressed="only === tag"
            :aria-label="`${tag}, ${pieces.length}: only these`"
            @click="only = only === tag ? '' : tag"
          >
            {{ tag }}</button
          >{{ pieces.length }}</span
        >
      </p>
      <p class="quiet wishes" data-test="bound">
        <span v-for="told in wishesTold(shown)" :key="told">{{ told }}</span>
      </p>
      <ul class="hung">
        <li v-for="one in listed.slice(0, MOST_ROWS)" :key="one.piece" :data-hung="one.piece">
          <label
            ><input
              type="checkbox"
              :checked="!without.has(one.piece)"
              @change="arranging.turn([one.piece])"
            />
            <strong>{{ one.title }}</strong></label
          >
          <button
            type="button"
            class="mono to"
            :aria-label="`Show ${one.title} on ${one.written}`"
            @click="patching.reveal = `port:${portKey(one.port)}`"
          >
            {{ one.written }}
          </button>
          <span v-if="one.from" class="moved">moved from {{ one.from }}; </span>
          <span class="quiet">{{ one.because }}</span>
        </li>
        <li v-if="listed.length > MOST_ROWS" class="quiet">
          and {{ counted(listed.length - MOST_ROWS, 'piece') }} more; choose a controller above
        </li>
        <li v-for="one in shown.proposal.left.slice(0, MOST_ROWS)" :key="one.piece" class="left">
          ▲ <strong>{{ one.title }}</strong> has no place: {{ one.because }}
        </li>
        <li v-if="shown.proposal.left.length > MOST_ROWS" class="left">
          ▲ and {{ counted(shown.proposal.left.length - MOST_ROWS, 'piece') }} more have none
        </li>
      </ul>
      <div v-if="shown.proposal.left.length" class="missing" data-test="missing">
        <button
          v-if="!additions"
          type="button"
          class="to"
          :disabled="asked"
          data-test="look-missing"
          @click="arranging.lookForMissing"
        >
          {{ asked ? 'trying changes …' : 'What would make the rest fit?' }}
        </button>
        <p v-else-if="!additions.length">
          No other mode, no cut and no one more controller makes more fit; see what is in the way of
          each.
        </p>
        <p v-for="one in additions" :key="one.told">
          {{ one.told }}: {{ counted(one.fit, 'piece') }} more{{
            one.left ? `, ${one.left} still left` : ', and all fits'
          }}
          <button type="button" class="to" data-test="make-missing" @click="display.edit(one.edit)">
            do it
          </button>
        </p>
      </div>
      <div v-if="patching.preview && edit" class="would quiet">
        <span v-for="line in outcome(patching.preview).slice(0, 4)" :key="line">{{ line }}</span>
      </div>
    </div>
    <p class="acts">
      <v-btn
        size="small"
        color="primary"
        variant="flat"
        :disabled="!edit"
        data-test="take-proposal"
        @click="take"
        >Hang {{ counted(hung.length - without.size, 'piece') }}</v-btn
      >
      <v-btn size="small" variant="text" @click="emit('done')">Leave it</v-btn>
      <span class="quiet"
        >{{ stays }}
        {{
          checked
            ? 'Nothing new that is wrong comes with it.'
            : 'With pieces left out it was not checked as a whole; what would change stands above.'
        }}</span
      >
    </p>
  </section>
</template>

<style scoped>
.panel {
  flex: none;
  max-height: 44%;
  overflow: auto;
  border-top: 2px solid var(--copper);
  background: rgb(var(--v-theme-surface));
  padding: 8px 16px 10px;
  font-size: 13px;
}
.aims {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
}
.aims > button {
  display: grid;
  text-align: left;
  padding: 6px 14px;
  border-left: 3px solid var(--line-strong);
  font-size: 12px;
}
.aims > .here {
  border-left-color: var(--copper);
  background: color-mix(in srgb, var(--copper) 12%, transparent);
}
.boxes {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  max-height: 84px;
  overflow: auto;
  margin-top: 6px;
}
.boxes span {
  display: inline-flex;
  align-items: center;
}
.boxes .to[aria-pressed='true'] {
  background: color-mix(in srgb, var(--copper) 20%, transparent);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 14px;
  margin-left: auto;
}
.wishes {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  padding-top: 4px;
  font-size: 12px;
}
.moved {
  font-style: italic;
}
.hung {
  list-style: none;
  columns: 430px;
  padding: 6px 0;
}
.hung li {
  break-inside: avoid;
  padding: 2px 0;
  overflow-wrap: anywhere;
}
.to {
  margin: 0 8px;
  text-decoration: underline dotted var(--line-strong);
  text-underline-offset: 3px;
}
.left {
  color: rgb(var(--v-theme-error));
}
.would {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  font-size: 12px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding-top: 6px;
}
</style>
