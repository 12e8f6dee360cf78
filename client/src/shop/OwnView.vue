<script setup lang="ts">
import { useTitle } from '@vueuse/core'
import { ref } from 'vue'
import { useActs } from '../controls/acts'
import { keyActs, keyOf, setKey, whyNotKey, written, type KeyAct } from '../controls/keys'
import OwnPassphrase from './OwnPassphrase.vue'

/** What belongs to whoever is at this browser: the keys, and the passphrase. */
useTitle('Your keys and passphrase – Iron Loop')
useActs(() => ({ back: { says: 'Start', to: '/' } }))
const waits = ref<KeyAct['act'] | null>(null)
const refused = ref<{ act: KeyAct['act']; why: string } | null>(null)

function take(act: KeyAct['act'], event: KeyboardEvent) {
  if (waits.value !== act || ['Control', 'Shift', 'Alt', 'Meta', 'Tab'].includes(event.key)) return
  event.preventDefault()
  event.stopPropagation()
  if (event.key === 'Escape') return (waits.value = null)
  const key = written(event)
  const why = whyNotKey(key, act)
  refused.value = why === null ? null : { act, why }
  if (why !== null) return
  setKey(act, key)
  waits.value = null
}
</script>

<template>
  <section class="own">
    <h1>Your keys and passphrase</h1>
    <p class="says">
      Keys work wherever the focus is, and are yours in this browser. A character alone is never one: calipers
      and scanners type those.
    </p>
    <table aria-label="Keys">
      <tbody>
        <tr v-for="k in keyActs" :key="k.act">
          <th scope="row">{{ k.says }}</th>
          <td class="figure" :data-key="k.act">
            {{ waits === k.act ? 'press a key' : keyOf(k.act) || 'off' }}
          </td>
          <td>
            <v-btn
              variant="outlined"
              size="small"
              :aria-label="`Change the key: ${k.says}`"
              @click="waits = waits === k.act ? null : k.act"
              @keydown.capture="take(k.act, $event)"
              @blur="waits = null"
              >Change</v-btn
            >
            <v-btn
              v-if="keyOf(k.act) !== ''"
              variant="text"
              size="small"
              :aria-label="`Switch off: ${k.says}`"
              @click="setKey(k.act, '')"
              >Off</v-btn
            >
            <v-btn
              v-if="keyOf(k.act) !== k.key"
              variant="text"
              size="small"
              :aria-label="`As it came: ${k.says}`"
              @click="setKey(k.act, null)"
              >{{ k.key }} again</v-btn
            >
            <p v-if="refused?.act === k.act" class="refused" role="alert">{{ refused.why }}</p>
          </td>
        </tr>
      </tbody>
    </table>
    <OwnPassphrase />
  </section>
</template>

<style scoped>
.own {
  display: grid;
  gap: 16px;
  max-width: 46rem;
  padding: 20px 40px;
}
th {
  text-align: left;
  font-weight: 600;
  padding-right: 24px;
}
td {
  padding: 4px 16px 4px 0;
}
tr {
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
@media (max-width: 600px) {
  .own {
    padding: 16px;
  }
}
</style>
