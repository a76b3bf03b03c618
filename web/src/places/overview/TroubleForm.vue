<script setup lang="ts">
import { ref } from 'vue'
import { api } from '../../api/client'
import type { Urgency } from '../../api/types'
import InPlaceChoice from '../../parts/InPlaceChoice.vue'
import InPlaceText from '../../parts/InPlaceText.vue'
import { shrunk } from '../../parts/photo'
import { counted } from '../../parts/words'
import { useDisplay } from '../../state/display'
import { useProgress } from '../../state/progress'

/** Says what is wrong with strings: why, how urgent, whose it is, with a photo. */
const props = defineProps<{ pieces: string[] }>()
const emit = defineEmits<{ done: [] }>()

const URGENCIES: { value: Urgency; title: string }[] = [
  { value: 'TONIGHT', title: 'tonight' },
  { value: 'SOON', title: 'soon' },
  { value: 'LATER', title: 'later' },
]

const display = useDisplay()
const progress = useProgress()
const reason = ref('')
const urgency = ref<Urgency>('TONIGHT')
const owner = ref('')
const photo = ref<File>()
const sending = ref(false)

async function say() {
  if (!reason.value.trim()) {
    return
  }
  sending.value = true
  const kept = photo.value
    ? await display.attempt(async () => api.addPhoto(display.view!.id, await shrunk(photo.value!)))
    : undefined
  if (!photo.value || kept) {
    const said = await progress.trouble({
      pieces: props.pieces,
      reason: reason.value.trim(),
      urgency: urgency.value,
      owner: owner.value,
      photo: kept?.name,
    })
    if (said) {
      emit('done')
    }
  }
  sending.value = false
}
</script>

<template>
  <form class="trouble" data-test="trouble-form" @submit.prevent="say" @keydown.esc="emit('done')">
    <span
      >Trouble with
      {{
        pieces.length === 1
          ? display.pieces.get(pieces[0])?.title
          : counted(pieces.length, 'string')
      }}:</span
    >
    <!-- eslint-disable-next-line vuejs-accessibility/no-autofocus -->
    <input
      v-model="reason"
      class="reason"
      aria-label="What is wrong"
      placeholder="what is wrong, such as: dark from pixel 20"
      maxlength="400"
      autofocus
    />
    <span
      ><InPlaceChoice
        :value="urgency"
        label="How urgent"
        :choices="URGENCIES"
        @change="(v) => (urgency = v as Urgency)" />, by
      <InPlaceText
        :value="owner"
        label="Whose it is to settle"
        none="nobody yet"
        local
        @change="(v: string) => (owner = v)"
    /></span>
    <label class="photo quiet"
      >photo
      <input
        type="file"
        accept="image/jpeg,image/png"
        aria-label="A photo of it"
        @change="photo = ($event.target as HTMLInputElement).files?.[0]"
    /></label>
    <v-btn
      type="submit"
      size="small"
      color="error"
      :disabled="!reason.trim()"
      :loading="sending"
      data-test="trouble-say"
      >Say so</v-btn
    >
    <v-btn size="small" variant="text" @click="emit('done')">No trouble</v-btn>
  </form>
</template>

<style scoped>
.trouble {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
  padding: 8px 24px;
  border-left: 3px solid rgb(var(--v-theme-error));
  font-size: 13px;
}
.reason {
  flex: 1 1 260px;
  border-bottom: 1px dashed var(--copper);
}
.reason::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.photo input {
  max-width: 190px;
  font-size: 12px;
}
</style>
