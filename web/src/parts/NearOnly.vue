<script setup lang="ts">
import { computed, onMounted, onScopeDispose, ref } from 'vue'
import { watchNear } from './nearness'

/**
 * An element whose content is drawn while it is in view, or nearly; else it stands empty, as high as
 * it was. A place of hundreds of rows has those in the page that can be seen. What has the keyboard
 * stays; what else is to stay while it is out of view, such as what is unfolded, is kept outside.
 */
const props = withDefaults(
  defineProps<{
    as?: string
    /** As high as it may be (px), until it has been drawn. */
    height: number
    /** It is drawn, wherever it is. */
    always?: boolean
  }>(),
  { as: 'div' },
)
const element = ref<HTMLElement>()
const near = ref(false)
const measured = ref<number>()
/** It has gone out of view with the keyboard in it. */
let leaving = false
const drawn = computed(() => props.always || near.value)
const room = computed(() => ({ height: `${measured.value ?? props.height}px` }))

function leave(height: number) {
  measured.value = height
  near.value = false
}
function onFocusOut(event: FocusEvent) {
  const box = element.value
  // where another window was gone to, the keyboard comes back here; where the row itself is removed,
  // there is no element any more
  if (leaving && box && document.hasFocus() && !box.contains(event.relatedTarget as Node | null)) {
    leaving = false
    leave(box.offsetHeight)
  }
}
let end = () => {}
onMounted(() => {
  end = watchNear(element.value!, (now, height) => {
    leaving = !now && near.value && element.value!.contains(document.activeElement)
    if (now) {
      near.value = true
    } else if (near.value && !leaving) {
      leave(height)
    }
  })
})
onScopeDispose(() => end())
</script>

<template>
  <component
    :is="as"
    ref="element"
    class="near"
    :style="drawn ? undefined : room"
    @focusout="onFocusOut"
  >
    <slot v-if="drawn" :near="near" />
    <!-- a part of a table is as high as its rows -->
    <tr v-else-if="as === 'tbody'" aria-hidden="true" :style="room"></tr>
  </component>
</template>

<style scoped>
/* what is drawn or left out in it moves nothing inside of the others, and those are not laid out again */
.near {
  contain: layout;
}
</style>
