<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { ShoppingView } from '../../api/types'
import InPlaceNumber from '../../parts/InPlaceNumber.vue'
import { useDisplay } from '../../state/display'
import { latestOf } from '../../state/latest'

/** What the shopping list goes by: spares, allowance, and what is in stock. */
const display = useDisplay()
const view = shallowRef<ShoppingView>()
const onlyMissing = ref(false)
const ask = latestOf<ShoppingView>((answer) => (view.value = answer))
watch(
  [() => display.view!.id, () => display.view!.version],
  () => void ask(() => api.shopping(display.view!.id)),
  { immediate: true },
)
const lines = computed(() =>
  (view.value?.lines ?? []).filter((one) => !onlyMissing.value || one.toBuy > 0),
)
/** A group is said where it begins. */
const begins = (index: number) => lines.value[index - 1]?.group !== lines.value[index].group
</script>

<template>
  <section v-if="view" class="list" aria-label="Spares and stock">
    <p class="line">
      <span
        >Spares
        <InPlaceNumber
          :value="view.sparesPercent"
          label="Spares of what is bought by the piece"
          :least="0"
          :most="200"
          data-test="spares"
          @change="(v) => display.edit({ type: 'SetWorkshop', sparesPercent: v })"
        />
        %, allowance of cable
        <InPlaceNumber
          :value="view.allowancePercent"
          label="Allowance of cable"
          :least="0"
          :most="200"
          @change="(v) => display.edit({ type: 'SetWorkshop', allowancePercent: v })"
        />
        %</span
      >
      <label class="quiet"
        ><input v-model="onlyMissing" type="checkbox" /> only what is to be bought</label
      >
    </p>
    <div class="rows scrolls" tabindex="0" role="region" aria-label="Articles">
      <table>
        <thead>
          <tr>
            <th scope="col">Article</th>
            <th scope="col" class="number">Needed</th>
            <th scope="col" class="number">Extra</th>
            <th scope="col" class="number">In stock</th>
            <th scope="col" class="number">To buy</th>
            <th scope="col">Unit</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="(one, i) in lines" :key="one.group + one.article">
            <tr v-if="begins(i)" class="group">
              <th colspan="6" scope="colgroup">{{ one.group }}</th>
            </tr>
            <tr :data-article="one.article">
              <td>{{ one.article }}</td>
              <td class="number mono">{{ one.needed.toLocaleString('en') }}</td>
              <td class="number mono">{{ one.extra.toLocaleString('en') }}</td>
              <td class="number">
                <InPlaceNumber
                  :value="one.stock"
                  :label="`${one.article}: in stock`"
                  :least="0"
                  :most="1000000"
                  @change="
                    (v) => display.edit({ type: 'SetStock', article: one.article, count: v ?? 0 })
                  "
                />
              </td>
              <td class="number mono">
                <strong v-if="one.toBuy">{{ one.toBuy.toLocaleString('en') }}</strong><span v-else
                  >✓</span
                >
              </td>
              <td class="quiet">{{ one.unit }}</td>
            </tr>
          </template>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped src="./list.css"></style>
<style scoped>
thead th {
  position: sticky;
  top: 0;
  background: rgb(var(--v-theme-background));
  color: var(--quiet);
  font-size: 12px;
}
.group th {
  color: var(--quiet);
  padding-top: 8px;
}
th.number,
td.number {
  text-align: right;
}
</style>
