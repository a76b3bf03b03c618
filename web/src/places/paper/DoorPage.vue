<script setup lang="ts">
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import { api } from '../../api/client'
import type { CrewKeyView, CrewRight, MachineAdapter, MadeCrewKey } from '../../api/types'
import { moment } from '../../parts/handoverWords'
import { useDisplay } from '../../state/display'
import { useDoor } from '../../state/door'
import { latestOf } from '../../state/latest'

/** The crew door: opened for a time, closed, and who has a key to this display. */
const display = useDisplay()
const door = useDoor()

const HOURS = [
  { hours: 4, title: '4 hours' },
  { hours: 12, title: '12 hours' },
  { hours: 24, title: 'a day' },
  { hours: 72, title: '3 days' },
  { hours: 168, title: 'a week' },
]
const DAYS = [
  { days: 1, title: 'a day' },
  { days: 7, title: 'a week' },
  { days: 30, title: '30 days' },
  { days: 120, title: 'the season (120 days)' },
]
const RIGHTS: { right: CrewRight; title: string; purpose: string }[] = [
  { right: 'TICK', title: 'tick', purpose: 'say how far each string is' },
  { right: 'NOTE', title: 'note', purpose: 'write notes, say and settle trouble' },
  { right: 'PHOTO', title: 'photograph', purpose: 'add photos to either' },
  { right: 'LIGHT', title: 'light', purpose: 'light strings, switch circuits while held' },
  { right: 'RESCUE', title: 'rescue', purpose: 'plan around a dead controller: changes the plan' },
]
const titleOf = (right: CrewRight) => RIGHTS.find((one) => one.right === right)!.title

const adapters = shallowRef<MachineAdapter[]>([])
const keys = shallowRef<CrewKeyView[]>([])
const made = shallowRef<MadeCrewKey>()
const copied = ref(false)
const opening = reactive({ address: '', port: 8090, secure: false, hours: 12 })
const wanted = reactive({ name: '', may: ['TICK', 'NOTE', 'PHOTO'] as CrewRight[], days: 7 })

const addresses = computed(() =>
  adapters.value
    .filter((one) => one.up)
    .sort((a, b) => Number(a.loopback) - Number(b.loopback))
    .map((one) => ({
      value: one.address,
      title: one.loopback ? `${one.address} (this computer only)` : `${one.address} (${one.name})`,
    })),
)
const ask = latestOf<CrewKeyView[]>((answer) => (keys.value = answer ?? keys.value))
const look = () => ask(() => api.crewKeys(display.view!.id))
watch(
  () => display.view!.id,
  async () => {
    made.value = undefined
    keys.value = []
    await look()
    adapters.value = (await display.attempt(api.machineAdapters)) ?? []
    opening.address ||= addresses.value[0]?.value ?? ''
  },
  { immediate: true },
)
watch(
  () => door.isOpen,
  (is) => {
    if (!is) {
      made.value = undefined
    }
  },
)

async function open() {
  await display.attempt(() => api.openDoor({ ...opening, port: Number(opening.port) }))
  await door.look()
}
async function close() {
  await display.attempt(api.closeDoor)
  await door.look()
}
async function make() {
  made.value = await display.attempt(() =>
    api.makeCrewKey(display.view!.id, { ...wanted, name: wanted.name.trim() }),
  )
  copied.value = false
  if (made.value) {
    wanted.name = ''
    await look()
  }
}
async function withdraw(key: CrewKeyView) {
  await display.attempt(() => api.withdrawCrewKey(display.view!.id, key.id))
  if (made.value?.key.id === key.id) {
    made.value = undefined
  }
  await look()
}
async function copy() {
  await navigator.clipboard.writeText(made.value!.link)
  copied.value = true
}
const print = () => window.print()
const stateOf = (key: CrewKeyView) =>
  key.withdrawn
    ? `withdrawn ${moment(key.withdrawn)}`
    : key.opens
      ? `until ${moment(key.until)}`
      : `ended ${moment(key.until)}`
</script>

<template>
  <section class="door" aria-label="Crew door" tabindex="0">
    <div v-if="door.open" class="card open" data-test="door-open">
      <p>
        <strong
          >Open at <span class="mono">{{ door.open.origin }}</span></strong
        >
        until {{ moment(door.open.until) }}. Whoever has a key sees this plan on a phone there.
      </p>
      <template v-if="door.open.secure">
        <p>
          HTTPS: each phone has to trust this authority once. Install it, and compare its
          fingerprint with this before you say yes:
        </p>
        <p class="mono print" data-test="fingerprint">{{ door.open.fingerprint }}</p>
        <p>
          <a href="/api/door/hamper-authority.crt" download>Save the certificate</a>, or open
          <span class="mono">{{ door.open.origin }}/authority.crt</span> on the phone. It speaks for
          private addresses only.
        </p>
      </template>
      <p v-else class="quiet">
        Plain HTTP: whoever is on this network can read along, keys too. For a closed show network.
        Pages do not open again without a connection.
      </p>
      <v-btn variant="outlined" data-test="close-door" @click="close">Close the door</v-btn>
    </div>
    <form v-else class="card" data-test="door-closed" @submit.prevent="open">
      <p>
        <strong>The crew door is closed.</strong> Open it, and phones in the yard show the plan,
        tick strings, and, where a key allows it, light them. Nobody gets in without a key.
      </p>
      <p class="line">
        <label
          >At
          <select v-model="opening.address" data-test="door-address">
            <option v-for="one in addresses" :key="one.value" :value="one.value">
              {{ one.title }}
            </option>
          </select></label
        >
        <label
          >port
          <input
            v-model.number="opening.port"
            class="mono port"
            type="number"
            min="1024"
            max="65535"
            data-test="door-port"
        /></label>
        <label
          >for
          <select v-model="opening.hours" data-test="door-hours">
            <option v-for="one in HOURS" :key="one.hours" :value="one.hours">
              {{ one.title }}
            </option>
          </select></label
        >
      </p>
      <label class="way"
        ><input v-model="opening.secure" type="radio" :value="false" name="way" />
        <span
          ><strong>Plain HTTP.</strong> Nothing to install. Whoever is on the network can read
          along, keys too; an open page goes on without a connection, but does not open again
          without one.</span
        ></label
      >
      <label class="way"
        ><input
          v-model="opening.secure"
          type="radio"
          :value="true"
          name="way"
          data-test="door-secure"
        />
        <span
          ><strong>HTTPS with Hamper’s own authority.</strong> Nobody reads along. Its certificate
          is installed once on each phone, by its fingerprint; pages open again without a
          connection, where a phone trusts it.</span
        ></label
      >
      <v-btn type="submit" color="primary" variant="flat" data-test="open-door"
        >Open the door</v-btn
      >
    </form>
    <div v-if="made" class="card made" data-test="made-key">
      <svg
        :viewBox="`-2 -2 ${made.side + 4} ${made.side + 4}`"
        role="img"
        :aria-label="`Code that opens the plan for ${made.key.name}`"
        class="code"
      >
        <rect x="-2" y="-2" :width="made.side + 4" :height="made.side + 4" fill="#fff" />
        <path :d="made.squares" fill="#000" shape-rendering="crispEdges" />
      </svg>
      <div>
        <p>
          <strong>{{ made.key.name }}</strong>, {{ display.view!.name }}: scan it with the phone’s
          camera, or open the link. It is shown only now; who loses it gets another.
        </p>
        <p class="mono print" data-test="link">{{ made.link }}</p>
        <p v-if="door.open?.fingerprint" class="on-paper">
          Authority, SHA-256: <span class="mono print">{{ door.open.fingerprint }}</span>
        </p>
        <p class="line no-print">
          <v-btn size="small" variant="outlined" @click="copy">{{
            copied ? 'Copied' : 'Copy the link'
          }}</v-btn>
          <v-btn size="small" variant="outlined" @click="print">Print this card</v-btn>
          <v-btn size="small" @click="made = undefined">Done</v-btn>
        </p>
      </div>
    </div>
    <form v-if="door.open" class="card" @submit.prevent="make">
      <p class="line">
        <label
          >A key for
          <input
            v-model="wanted.name"
            class="name"
            maxlength="80"
            required
            placeholder="a person or a crew"
            data-test="key-name"
        /></label>
        <label
          >for
          <select v-model="wanted.days" data-test="key-days">
            <option v-for="one in DAYS" :key="one.days" :value="one.days">{{ one.title }}</option>
          </select></label
        >
      </p>
      <p class="line">
        <span>may read, and</span>
        <label v-for="one in RIGHTS" :key="one.right" :title="one.purpose"
          ><input
            v-model="wanted.may"
            type="checkbox"
            :value="one.right"
            :data-test="`may-${one.right}`"
          />
          {{ one.title }}</label
        >
      </p>
      <v-btn type="submit" variant="outlined" :disabled="!wanted.name.trim()" data-test="make-key"
        >Make the key</v-btn
      >
    </form>
    <table v-if="keys.length" data-test="keys">
      <thead>
        <tr>
          <th>Key</th>
          <th>May read, and</th>
          <th>Opens</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in keys" :key="one.id" :class="{ ended: !one.opens }">
          <td>{{ one.name }}</td>
          <td>{{ one.may.map(titleOf).join(', ') || 'nothing else' }}</td>
          <td>{{ stateOf(one) }}</td>
          <td>
            <v-btn
              v-if="one.opens"
              size="small"
              variant="outlined"
              :aria-label="`Withdraw the key of ${one.name}`"
              @click="withdraw(one)"
              >Withdraw</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-else class="quiet">Nobody has a key to this display yet.</p>
  </section>
</template>

<style scoped>
.door {
  flex: 1;
  min-height: 0;
  overflow: auto;
  padding: 4px 24px 40px;
  font-size: 13.5px;
  max-width: 860px;
}
.card {
  padding: 12px 16px;
  margin-bottom: 12px;
  border: 1px solid var(--line-strong);
  border-left: 4px solid var(--line-strong);
  border-radius: 4px;
  background: rgb(var(--v-theme-surface));
}
.card > * + * {
  margin-top: 8px;
}
.open {
  border-left-color: var(--copper);
}
.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 18px;
}
select,
.port,
.name {
  border-bottom: 1px dashed var(--copper);
  color: rgb(var(--v-theme-on-surface));
}
option {
  background: rgb(var(--v-theme-surface));
}
.port {
  width: 8ch;
}
.name {
  width: 26ch;
}
.name::placeholder {
  color: var(--quiet);
  opacity: 1;
}
.way {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.print {
  overflow-wrap: anywhere;
}
.made {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  border-left-color: var(--copper);
}
.made > * + * {
  margin-top: 0;
}
.made > div {
  flex: 1 1 260px;
}
.made p + p {
  margin-top: 8px;
}
.code {
  width: 220px;
  height: 220px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  padding: 4px 16px 4px 0;
  text-align: left;
  font-weight: 400;
  border-bottom: 1px solid var(--line);
}
th {
  font-size: 12px;
  color: var(--quiet);
}
.ended {
  color: var(--quiet);
}
.on-paper {
  display: none;
}
a {
  color: var(--copper);
}
@media (width < 700px) {
  .door {
    padding: 4px 12px 40px;
  }
}
</style>
<style>
/* only the card with the code goes on paper */
@media print {
  body:has(.door .made) * {
    visibility: hidden;
  }
  .door .made,
  .door .made * {
    visibility: visible !important;
  }
  .door .made {
    position: fixed;
    inset: 12mm auto auto 12mm;
  }
  .door .made .on-paper {
    display: block;
  }
  .door .made .no-print {
    display: none;
  }
}
</style>
