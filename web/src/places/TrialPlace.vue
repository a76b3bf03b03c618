<script setup lang="ts">
import { computed, onMounted, onScopeDispose, ref, shallowRef } from 'vue'
import { api } from '../api/client'
import type { MisbehaviourKind } from '../api/types'
import { isTyping, KEYS, keyOf } from '../parts/keys'
import NearOnly from '../parts/NearOnly.vue'
import { counted } from '../parts/words'
import { useDisplay } from '../state/display'
import { useMarks } from '../state/marks'
import { useLighting } from '../state/lighting'
import { useLooking } from '../state/looking'
import { longest, ofPiece, piecesOf } from '../state/targets'
import { summary } from './network/presence'
import CheckPage from './trial/CheckPage.vue'
import GuidePanel from './trial/GuidePanel.vue'
import ControllerLight from './trial/ControllerLight.vue'
import LightSentence from './trial/LightSentence.vue'
import SeenRight from './trial/SeenRight.vue'
import MoverRows from './trial/MoverRows.vue'
import { longestWire, rates } from './trial/pixels'

/** Something simple on the lights, from near to far, until the cause is found. */
/** What the address opens: the check of the whole plan, or nothing of it. */
const props = defineProps<{ part?: string }>()

/** Ports of so many controllers at most are all there. */
const SHORT = 15
const display = useDisplay()
const lighting = useLighting()
const looking = useLooking()
const marks = useMarks()
const misbehaviours = shallowRef<MisbehaviourKind[]>([])
const told = ref('')
const onlyWrong = ref(false)

const look = computed(() => lighting.look)
/** Pixels of the longest port on a wire: one scale for all of them. */
const most = computed(() => longestWire(look.value?.controllers ?? []))
const controllers = computed(() => {
  const before = new Map(lighting.before?.controllers.map((one) => [one.controller, one]))
  return (look.value?.controllers ?? [])
    .map((one) => ({
      look: one,
      view: display.controllerOf(one.controller),
      rates: rates(before.get(one.controller), one, Math.max(0.05, lighting.between)),
    }))
    .flatMap(({ view, ...rest }) => (view ? [{ view, ...rest }] : []))
})
const shown = computed(() =>
  controllers.value.filter(
    (one) => !onlyWrong.value || one.look.away || one.look.ports.some((port) => port.differing > 0),
  ),
)

const checks = computed(() => props.part === 'check')
/** Whether the whole plan was checked on stand-ins, and whether it is still that plan. */
const CHECKED = {
  NONE: 'Check it all …',
  CHANGED: 'Changed since it was checked …',
  NOT_CLEAN: '▲ checked, not clean',
  CLEAN: '✓ checked',
}
const checked = computed(() => (checks.value ? 'Back to the lights' : CHECKED[marks.check]))

/** Who answered when it was last asked, in a few words. */
const whoIsThere = computed(() => {
  const { run, differing } = looking
  return !run || run.failed
    ? 'Who is there? …'
    : run.running
      ? 'asking who is there …'
      : differing.length
        ? `▲ ${summary(differing)}`
        : '✓ all are there'
})

async function misbehave(controller: string, key: string, on: boolean) {
  await display.attempt(() => api.misbehave(display.view!.id, controller, key, on))
}
function pickPixel(piece: string, pixel: number) {
  const view = display.pieces.get(piece)
  if (view) {
    lighting.what = [ofPiece(view)]
    lighting.kind = 'COUNT'
    lighting.from = pixel
  }
}

function onKey(event: KeyboardEvent) {
  const at = event.target as HTMLElement | null
  const pressed = keyOf(KEYS.trial, event)
  if (!pressed || isTyping(event) || at?.closest('[role=slider], [type=range], .v-overlay')) {
    return
  }
  if (pressed === 'light') {
    void (lighting.mine ? lighting.leave() : lighting.light())
    return
  }
  if (lighting.kind !== 'COUNT') {
    return
  }
  event.preventDefault()
  const last = longest(piecesOf(lighting.what, display.view!))
  const by = (pressed === 'back' ? -1 : 1) * (event.shiftKey ? 10 : 1)
  const to = pressed === 'first' ? 1 : pressed === 'last' ? last : lighting.from + by
  lighting.from = Math.max(1, Math.min(last, to))
}
let end = () => {}
onMounted(async () => {
  window.addEventListener('keydown', onKey)
  end = lighting.follow()
  await lighting.learn()
  misbehaviours.value = (await display.attempt(() => api.misbehaviours(display.view!.id))) ?? []
})
onScopeDispose(() => {
  window.removeEventListener('keydown', onKey)
  end()
})
</script>

<template>
  <div class="trial">
    <div class="head">
      <h1>Trial</h1>
      <span v-if="look?.lit && look.differing" class="wrong" role="status" data-test="all-differing"
        >▲ {{ counted(look.differing, 'pixel') }}
        {{ look.differing === 1 ? 'shows' : 'show' }} something else than is meant</span
      >
      <span v-else-if="look?.lit" class="right" role="status" data-test="as-meant"
        >✓ everything shows what is meant</span
      >
      <span v-else class="quiet">dark; pick something, and light it</span>
      <span v-if="lighting.unseen" class="wrong" role="alert">{{ lighting.unseen }}</span>
      <v-spacer />
      <router-link
        :to="{ name: 'network', params: { part: 'who' } }"
        class="check"
        data-test="who-is-there"
        >{{ whoIsThere }}</router-link
      >
      <SeenRight />
      <router-link
        :to="{ name: 'trial', params: { part: checks ? '' : 'check' } }"
        class="check"
        data-test="check-all"
        >{{ checked }}</router-link
      >
      <label class="only"
        ><input v-model="onlyWrong" type="checkbox" data-test="only-wrong" /> only where something
        is wrong</label
      >
    </div>
    <CheckPage v-if="checks" class="page" />
    <template v-else>
      <LightSentence />
      <MoverRows />
      <div class="below">
        <div class="ribbons scrolls" data-test="ribbons">
          <p v-if="look && !controllers.length" class="empty">
            Nothing is sent to any controller yet. Add controllers, patch strings, and light them
            here.
          </p>
          <p v-else-if="look && !shown.length" class="empty">Nothing is wrong.</p>
          <p v-if="look?.live" class="quiet live">
            Live nobody knows what lights show: only what is meant is drawn. Ask whoever stands
            there.
          </p>
          <NearOnly
            v-for="one in shown"
            :key="one.view.controller.id"
            v-slot="{ near }"
            :height="300"
            :always="shown.length <= SHORT"
            ><ControllerLight
              :near="near"
              :view="one.view"
              :look="one.look"
              :rates="one.rates"
              :most="most"
              :live="look!.live"
              :misbehaviours="misbehaviours"
              @told="told = $event"
              @pixel="pickPixel"
              @misbehave="(key, on) => misbehave(one.view.controller.id, key, on)"
          /></NearOnly>
        </div>
        <GuidePanel class="aside" />
      </div>
      <div class="under mono" data-test="under-pointer">
        {{
          told || 'Above is meant, below is shown. Click picks a string, double click one pixel.'
        }}
      </div>
    </template>
  </div>
</template>

<style scoped>
.trial {
  display: flex;
  flex-direction: column;
  height: 100%;
  min-height: 0;
}
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 16px;
  padding: 12px 16px 0;
}
h1 {
  font-size: 20px;
  font-weight: 600;
}
.page {
  padding: 12px 16px;
  overflow: auto;
}
.check {
  font-size: 12.5px;
  color: var(--copper);
}
.only {
  font-size: 12.5px;
}
.right {
  color: rgb(var(--v-theme-success));
}
.wrong {
  color: rgb(var(--v-theme-error));
}
.below {
  flex: 1;
  min-height: 0;
  display: flex;
}
.ribbons {
  flex: 1;
  min-width: 0;
}
.aside {
  flex: 0 0 300px;
  border-left: 1px solid var(--line);
}
.empty,
.live {
  padding: 24px 16px;
}
.under {
  flex: none;
  padding: 4px 16px;
  font-size: 12px;
  color: var(--quiet);
  border-top: 1px solid var(--line);
}
@media (width < 700px) {
  .trial {
    height: auto;
  }
  .below {
    flex-direction: column-reverse;
  }
  .aside {
    flex: none;
    border-left: none;
    border-bottom: 1px solid var(--line);
  }
  .head h1 {
    display: none;
  }
}
</style>
