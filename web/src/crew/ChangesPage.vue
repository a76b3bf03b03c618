<script setup lang="ts">
import { ago } from './waiting'
import { known, moves, there } from './known'
import { readMoves } from './yard'

/** What was moved to another port since whoever holds the phone looked last. */
</script>

<template>
  <div class="page" data-test="moved-page">
    <h1>Moved since you looked</h1>
    <p v-if="moves && !moves.whole" class="quiet">
      There were more changes than are looked at; read each controller anew.
    </p>
    <p v-if="!moves?.moves.length" class="quiet">Nothing was moved.</p>
    <ul class="rows">
      <li v-for="one in moves?.moves" :key="one.piece">
        <router-link :to="{ name: 'string', params: { piece: one.piece } }" class="card">
          <strong>{{ known.get(one.piece)?.title ?? one.piece }}</strong>
          <p>
            moved from <span class="mono">{{ one.from ?? 'nowhere' }}</span> to
            <span class="mono">{{ one.to ?? 'nowhere' }}</span> {{ ago(one.at, there())
            }}<template v-if="one.by">, {{ one.by }}</template>
          </p>
        </router-link>
      </li>
    </ul>
    <button
      v-if="moves?.moves.length"
      type="button"
      class="main"
      data-test="read-moves"
      @click="readMoves"
    >
      I have read it
    </button>
  </div>
</template>
