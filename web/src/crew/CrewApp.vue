<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { dark, lit, stopAll, unlit } from './lights'
import { known, moves, reached, shut, trouble, waiting, yard } from './known'
import { forgetRefused } from './saying'
import { begin } from './yard'

/** What is always there: where one is, whether the phone is in reach, what it lights. */
const route = useRoute()
const router = useRouter()
const ready = ref(false)
onMounted(async () => {
  await begin(router.isReady())
  ready.value = true
})

const refused = computed(() => waiting.value.filter((one) => one.refused))
const unsent = computed(() => waiting.value.length - refused.value.length)
const moved = computed(() => moves.value?.moves.length ?? 0)
const secure = window.isSecureContext
const titleOfLit = computed(() => lit.value && known.value.get(lit.value.piece)?.title)
</script>

<template>
  <header v-if="yard" class="top">
    <router-link to="/" class="home" title="The whole yard">{{ yard.display }}</router-link>
    <router-link
      v-if="moved && route.name !== 'moved'"
      to="/moved"
      class="button moved"
      data-test="moved"
      >{{ moved }} moved</router-link
    >
    <span
      class="state"
      role="status"
      :class="{ away: !reached }"
      data-test="state"
      :data-waiting="unsent"
      >{{ reached ? (unsent ? `sending ${unsent}` : 'in reach') : `out of reach`
      }}<template v-if="!reached && unsent">, {{ unsent }} wait</template></span
    >
  </header>
  <main>
    <section v-if="!reached && yard" class="note" data-test="away">
      <p>
        <strong>Out of reach of the computer.</strong> Go on: this phone keeps what you tick and
        sends it when it is back.
      </p>
      <details>
        <summary>How to stay</summary>
        <p>
          The show's network has no internet, and phones leave such networks by themselves. Choose
          it again, answer “stay connected”, and turn mobile data off.
          {{
            secure
              ? 'These pages open again without a connection.'
              : 'Do not reload or close this page until it is back: over plain HTTP a browser cannot open it again without a connection. What you ticked is kept even then.'
          }}
        </p>
      </details>
    </section>
    <section v-if="shut" class="note wrong" role="alert" data-test="shut">
      <p><strong>The door does not open.</strong> {{ shut }}</p>
      <p v-if="unsent">{{ unsent }} that were ticked here wait for a new link.</p>
    </section>
    <section v-if="trouble" class="note wrong" role="alert">
      <p>{{ trouble }}</p>
      <button type="button" @click="trouble = ''">Read</button>
    </section>
    <section v-if="refused.length" class="note wrong" role="alert" data-test="refused">
      <p v-for="one in refused" :key="one.id">
        {{ known.get(one.piece)?.title ?? one.piece }}: {{ one.refused }}
      </p>
      <button type="button" @click="forgetRefused">Put away</button>
    </section>
    <p v-if="!yard && !ready" class="page quiet">Looking for the yard …</p>
    <section v-else-if="!yard && !shut" class="page" data-test="nothing">
      <h1>No yard here yet</h1>
      <p>
        {{
          reached
            ? 'Open the link, or the code, that whoever planned the display gave you.'
            : 'The computer is out of reach, and this phone has not seen the plan yet.'
        }}
      </p>
    </section>
    <router-view v-else-if="yard" />
  </main>
  <footer v-if="lit" class="lit" data-test="lit">
    <span
      >{{ titleOfLit }} is lit<template v-if="lit.kind === 'COUNT'">, pixel {{ lit.from }}</template
      ><strong v-if="unlit" class="wrong" role="alert"> {{ unlit }}</strong></span
    >
    <button type="button" data-test="dark" @click="dark">Dark</button>
    <button type="button" class="stop" @click="stopAll">Stop all</button>
  </footer>
</template>

<style scoped>
.top {
  position: sticky;
  top: 0;
  z-index: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  padding: 4px 14px;
  background: var(--ground);
  border-bottom: 2px solid var(--line);
}
.home {
  display: flex;
  align-items: center;
  flex: 1;
  min-height: 48px;
  font-weight: 700;
}
.moved {
  border-color: var(--copper);
  border-style: double;
  border-width: 4px;
}
.state {
  font-size: 15px;
}
.away {
  font-weight: 700;
  text-decoration: underline;
}
.note {
  padding: 10px 14px;
  border-bottom: 2px solid var(--line);
  background: var(--sheet);
}
.note > * + * {
  margin-top: 8px;
}
summary {
  min-height: 48px;
  line-height: 48px;
}
.lit {
  position: fixed;
  inset: auto 0 0 0;
  z-index: 3;
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 14px;
  background: var(--sheet);
  border-top: 3px solid var(--copper);
}
.lit span {
  flex: 1;
}
.stop {
  color: var(--ground);
  background: var(--wrong);
  border-color: var(--wrong);
}
</style>
