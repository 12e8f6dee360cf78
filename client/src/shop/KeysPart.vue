<script setup lang="ts">
import { ref } from 'vue'
import { useKeys } from '../api/door'
import { saidOf } from '../api/refused'
import { asMoment } from '../controls/days'
import RefusedLine from '../controls/RefusedLine.vue'

/** Keys for other programs that ask this shop for figures from another machine. */
const { keys, make, end } = useKeys()
const name = ref('')
const made = ref('')
const error = ref<unknown>(null)
async function act(what: () => Promise<string | void>) {
  error.value = null
  made.value = ''
  try {
    made.value = (await what()) ?? ''
    name.value = ''
  } catch (refused) {
    error.value = refused
  }
}
</script>

<template>
  <form aria-label="Keys of the shop" @submit.prevent="act(() => make(name))">
    <h2>Keys for other programs</h2>
    <p class="quiet">
      A program on another machine that asks for figures gives a key in the header
      <code>X-Iron-Loop-Key</code>. It tells it nothing of the shop.
    </p>
    <table v-if="keys?.length" aria-label="Keys">
      <tbody>
        <tr v-for="k in keys" :key="k.id" :class="{ gone: k.endedAt }">
          <td>{{ k.name }}</td>
          <td>{{ asMoment(k.madeAt) }}, {{ k.madeBy }}</td>
          <td>
            <span v-if="k.endedAt">ended {{ asMoment(k.endedAt) }}</span>
            <v-btn v-else size="small" variant="text" @click="act(() => end(k.id))">End it</v-btn>
          </td>
        </tr>
      </tbody>
    </table>
    <v-text-field
      v-model="name"
      label="What it is for"
      name="keyName"
      autocomplete="off"
      :error-messages="saidOf(error, '$.name')"
    />
    <v-btn type="submit" variant="outlined">Make a key</v-btn>
    <p v-if="made" role="status">
      The key, told this once: <code data-testid="made-key">{{ made }}</code>
    </p>
    <RefusedLine :of="error" />
  </form>
</template>
