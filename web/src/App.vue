<script setup lang="ts">
import { computed, onMounted, provide, watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import AppRail from './shell/AppRail.vue'
import EmptyStart from './shell/EmptyStart.vue'
import FindingsPanel from './shell/FindingsPanel.vue'
import KeysSheet from './shell/KeysSheet.vue'
import ProblemDialog from './shell/ProblemDialog.vue'
import StartsMoveDialog from './shell/StartsMoveDialog.vue'
import SaidLine from './shell/SaidLine.vue'
import LitStrip from './shell/LitStrip.vue'
import TopBar from './shell/TopBar.vue'
import WhySheet from './shell/WhySheet.vue'
import { useSharedPointing } from './state/pointing'
import { useDisplay } from './state/display'
import { useShell } from './state/shell'
import { useForecast } from './shell/forecast'
import { ANSWERS, FORECAST, REFUSALS, TELL } from './parts/refusals'
import { useSlow } from './parts/useSlow'
import { useAddresses } from './shell/addresses'
import { useUndoKeys } from './shell/undoKeys'

const display = useDisplay()
const shell = useShell()
const theme = useTheme()

watchEffect(() => theme.change(shell.dark ? 'dark' : 'light'))
watchEffect(() => {
  document.title = display.view ? `${display.view.name} · Hamper` : 'Hamper'
})
useUndoKeys()
useSharedPointing()
provide(
  REFUSALS,
  computed(() => display.problem),
)
provide(
  ANSWERS,
  computed(() => display.view?.version),
)
/** Known once the list is; what is being typed there is not taken away by anything that is busy. */
const nothingYet = computed(() => display.started && (!display.list.length || !display.busy))
const slow = useSlow(() => display.busy > 0)
onMounted(useAddresses())
provide(FORECAST, useForecast().of)
provide(TELL, (text) => (display.said = { text, canUndo: false }))
</script>

<template>
  <v-app>
    <div class="shell">
      <AppRail />
      <div class="main">
        <TopBar />
        <LitStrip />
        <div class="working">
          <v-progress-linear
            v-if="slow"
            indeterminate
            color="primary"
            height="3"
            aria-label="Hamper is working"
          />
        </div>
        <div class="below">
          <main class="place scrolls" :data-version="display.view?.version">
            <router-view v-if="display.view" />
            <EmptyStart v-else-if="nothingYet" />
            <v-progress-linear v-else indeterminate aria-label="Opening the display" />
          </main>
          <FindingsPanel v-if="shell.findingsOpen && display.view" />
        </div>
        <SaidLine />
      </div>
    </div>
    <ProblemDialog />
    <StartsMoveDialog />
    <KeysSheet />
    <WhySheet v-if="display.view" />
  </v-app>
</template>

<style scoped>
.shell {
  display: flex;
  height: 100dvh;
  overflow: hidden;
}
.main {
  flex: 1;
  min-width: 0;
  display: flex;
  flex-direction: column;
}
/* over the edge, so that nothing moves when it comes */
.working {
  position: relative;
  height: 0;
  z-index: 3;
}
.below {
  flex: 1;
  min-height: 0;
  display: flex;
}
@media (width < 700px) {
  .shell {
    flex-direction: column-reverse;
  }
  .main {
    min-height: 0;
  }
  .below {
    position: relative;
  }
}
.place {
  flex: 1;
  min-width: 0;
  position: relative;
}
</style>
