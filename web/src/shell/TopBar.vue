<script setup lang="ts">
import {
  mdiAlertOctagonOutline,
  mdiCheckCircleOutline,
  mdiChevronDown,
  mdiRedoVariant,
  mdiThemeLightDark,
  mdiUndoVariant,
} from '@mdi/js'
import { computed, ref } from 'vue'
import { api } from '../api/client'
import type { Listed } from '../api/types'
import { counted } from '../parts/words'
import { moment } from '../parts/handoverWords'
import { useDisplay } from '../state/display'
import { useDoor } from '../state/door'
import { useHandover } from '../state/handover'
import { useShell } from '../state/shell'
import DisplayFileInput from './DisplayFileInput.vue'
import HistoryList from './HistoryList.vue'
import FinderBox from './FinderBox.vue'
import LiveSign from './LiveSign.vue'
import NewDisplay from './NewDisplay.vue'

const display = useDisplay()
const door = useDoor()
const handover = useHandover()
const shell = useShell()
const file = ref<InstanceType<typeof DisplayFileInput>>()
const asking = ref<'new' | 'rename' | 'remove' | 'removed'>()
const TITLES = {
  new: 'New display',
  rename: 'Rename this display',
  remove: 'Remove this display?',
  removed: 'Removed displays',
}
const removed = ref<Listed[]>([])
async function look(shown: boolean) {
  if (shown) {
    await display.loadList()
    removed.value = (await display.attempt(api.removedDisplays)) ?? []
  }
}
const name = ref('')

const counts = computed(() => {
  const count = { FAULT: 0, RISK: 0, HINT: 0 }
  display.view?.findings.forEach((finding) => count[finding.severity]++)
  return count
})
const told = computed(() => {
  const { FAULT, RISK, HINT } = counts.value
  const hints = HINT ? [counted(HINT, 'hint')] : []
  return [counted(FAULT, 'fault'), counted(RISK, 'risk'), ...hints].join(' · ')
})
const clean = computed(() => display.view?.findings.length === 0)

function rename() {
  name.value = display.view!.name
  asking.value = 'rename'
}

async function settle() {
  const given = name.value.trim()
  asking.value = undefined
  if (given !== display.view!.name) {
    await display.edit({ type: 'SetDisplay', name: given })
  }
}
</script>

<template>
  <header class="bar">
    <v-menu @update:model-value="look">
      <template #activator="{ props }">
        <v-btn v-bind="props" class="name" :append-icon="mdiChevronDown" data-test="display-menu">
          {{ display.view?.name ?? 'Hamper' }}
        </v-btn>
      </template>
      <v-list density="compact" min-width="260">
        <v-list-subheader>Displays</v-list-subheader>
        <v-list-item
          v-for="one in display.list"
          :key="one.id"
          :title="one.name"
          :subtitle="`${counted(one.props, 'prop')}, ${counted(one.controllers, 'controller')} · ${moment(one.changed)}`"
          :active="one.id === display.view?.id"
          @click="display.open(one.id)"
        />
        <v-divider class="my-1" />
        <v-list-item title="New display…" @click="asking = 'new'" />
        <v-list-item title="Open a display file…" @click="file?.choose()" />
        <template v-if="display.view">
          <v-list-item title="Rename this display…" @click="rename" />
          <v-list-item
            title="Save as a display file"
            :href="`/api/displays/${display.view.id}/file`"
            download
          />
          <v-list-item title="Remove this display…" data-test="remove" @click="asking = 'remove'" />
        </template>
        <v-list-item
          v-if="removed.length"
          title="Removed displays…"
          data-test="removed"
          @click="asking = 'removed'"
        />
      </v-list>
    </v-menu>
    <DisplayFileInput ref="file" data-test="import-file" />
    <FinderBox v-if="display.view" class="finder" />
    <v-spacer />

    <template v-if="display.view">
      <v-btn
        :prepend-icon="mdiUndoVariant"
        :disabled="!display.view.undo.undo"
        class="step"
        data-test="undo"
        :title="display.view.undo.undo ?? undefined"
        :aria-label="display.view.undo.undo ? `Undo: ${display.view.undo.undo}` : 'Nothing to undo'"
        @click="display.undo()"
      >
        <span class="what">{{ display.view.undo.undo ?? 'Nothing to undo' }}</span>
      </v-btn>
      <v-btn
        :icon="mdiRedoVariant"
        size="small"
        :disabled="!display.view.undo.redo"
        data-test="redo"
        :title="display.view.undo.redo ? `Redo: ${display.view.undo.redo}` : 'Nothing to redo'"
        :aria-label="`Redo: ${display.view.undo.redo ?? 'nothing'}`"
        @click="display.redo()"
      />
      <HistoryList />
      <v-btn
        v-if="door.isOpen"
        class="pill"
        variant="outlined"
        :to="{ name: 'paper', params: { display: display.view.id, sheet: 'crew-door' } }"
        :title="`Phones come in at ${door.open!.origin}`"
        data-test="door-pill"
        >Crew door open</v-btn
      >
      <v-btn
        v-if="handover.stale"
        class="pill mono"
        variant="outlined"
        color="warning"
        :to="{ name: 'handover', params: { display: display.view.id } }"
        :title="`${counted(handover.stale, 'controller has', 'controllers have')} to be given anew`"
        data-test="stale-pill"
        >◐ {{ handover.stale }} stale</v-btn
      >
      <v-btn
        class="pill mono"
        variant="outlined"
        :color="counts.FAULT ? 'error' : counts.RISK ? 'warning' : undefined"
        :prepend-icon="clean ? mdiCheckCircleOutline : mdiAlertOctagonOutline"
        :aria-pressed="shell.findingsOpen"
        data-test="findings-pill"
        @click="shell.findingsOpen = !shell.findingsOpen"
      >
        <template v-if="clean">all clear</template>
        <template v-else>
          {{ told }}
        </template>
      </v-btn>
    </template>
    <LiveSign class="ground" />
    <v-btn
      :icon="mdiThemeLightDark"
      size="small"
      :aria-label="shell.dark ? 'Light theme' : 'Dark theme'"
      data-test="theme"
      @click="shell.dark = !shell.dark"
    />

    <v-dialog
      :model-value="asking !== undefined"
      max-width="460"
      @update:model-value="asking = undefined"
    >
      <v-card>
        <v-card-title class="text-body-1 font-weight-bold">
          {{ TITLES[asking ?? 'new'] }}
        </v-card-title>
        <v-card-text>
          <NewDisplay v-if="asking === 'new'" @done="asking = undefined" />
          <p v-else-if="asking === 'remove'">
            {{ display.view?.name }} goes from the list. For 30 days it can be brought back from the
            menu of displays, with everything in it and its whole undo.
          </p>
          <ul v-else-if="asking === 'removed'" class="removed">
            <li v-for="one in removed" :key="one.id">
              <span
                >{{ one.name }}
                <span class="quiet"
                  >removed {{ moment(one.removed!) }}, kept for 30 days</span
                ></span
              >
              <v-btn
                size="small"
                color="primary"
                :aria-label="`Bring back ${one.name}`"
                @click="((asking = undefined), display.bringBack(one.id))"
                >Bring back</v-btn
              >
            </li>
          </ul>
          <form v-else @submit.prevent="name.trim() && settle()">
            <v-text-field v-model="name" label="Name" maxlength="80" autofocus />
          </form>
        </v-card-text>
        <v-card-actions>
          <v-spacer />
          <v-btn @click="asking = undefined">Cancel</v-btn>
          <v-btn
            v-if="asking === 'remove'"
            color="error"
            data-test="remove-now"
            @click="((asking = undefined), display.remove())"
            >Remove</v-btn
          >
          <v-btn v-if="asking === 'rename'" color="primary" :disabled="!name.trim()" @click="settle"
            >Rename</v-btn
          >
        </v-card-actions>
      </v-card>
    </v-dialog>
  </header>
</template>

<style scoped>
.removed {
  list-style: none;
}
.removed li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
}
.bar {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 52px;
  flex: none;
  padding: 0 12px;
  border-bottom: 1px solid var(--line);
  background: rgb(var(--v-theme-surface));
}
.name {
  font-size: 16px;
  font-weight: 600;
  max-width: 340px;
}
.name :deep(.v-btn__content) {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
}
.finder {
  flex: 0 100000 340px;
  min-width: 200px;
}
.finder:focus-within {
  flex-shrink: 100;
}
/* the finder gives way first, then the words of a step, then the name: what is wrong is always told */
.bar > .name {
  flex: 0 1 auto;
  min-width: 110px;
}
.bar > .step {
  flex: 0 10000 auto;
  min-width: 48px;
}
.step :deep(.v-btn__content) {
  min-width: 0;
}
.step .what {
  max-width: 190px;
  overflow: hidden;
  text-overflow: ellipsis;
  font-weight: 400;
}
.pill {
  font-size: 12.5px;
}
/* what does not fit beside the rest any more: the words of a step are still told by its button */
@media (width < 1100px) {
  .bar {
    flex-wrap: wrap;
    height: auto;
    min-height: 52px;
  }
  .name {
    max-width: 220px;
  }
  .finder {
    flex: 1 1 160px;
    width: auto;
    max-width: 340px;
  }
  .step .what {
    display: none;
  }
}
/* two lines: what is open and taken back, then what is looked for and found */
@media (width < 700px) {
  .bar {
    gap: 2px;
    padding: 2px 6px 6px;
  }
  .finder,
  .pill {
    order: 2;
  }
  /* it has what the signs beside it leave */
  .name {
    flex: 1 1 100px;
    max-width: none;
    justify-content: flex-start;
  }
  .bar > .v-spacer {
    display: none;
  }
  .finder {
    flex: 1 1 120px;
    max-width: none;
  }
}
</style>
