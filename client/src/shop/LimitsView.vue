<script setup lang="ts">
import { reactive } from 'vue'
import { useLimits, type Limit } from '../api/match'
import { saidOf, wholeOf } from '../api/refused'
import StoredInput from '../controls/StoredInput.vue'

const { limits, set } = useLimits()
const refused = reactive<Record<string, string | null>>({})

async function put(limit: Limit, typed: string | null) {
  const value = typed === null ? null : Number(typed.replace(',', '.').replace(/\s*mm$/, ''))
  if (value !== null && (typed?.trim() === '' || Number.isNaN(value))) {
    refused[limit.limit] = `“${typed}” is no number.`
    return
  }
  try {
    await set(limit.limit, value)
    refused[limit.limit] = null
  } catch (error) {
    refused[limit.limit] = saidOf(error, '$.value')[0] ?? wholeOf(error)
  }
}
</script>

<template>
  <div>
    <h1>The shop’s rules</h1>
    <p class="says">Each rule’s limits. One that is changed is marked, and has a way back to its default.</p>
    <table v-if="limits.data.value">
      <tbody>
        <tr v-for="l in limits.data.value" :key="l.limit" :class="{ changed: l.value !== l.usual }">
          <td class="quiet">{{ l.rule }}</td>
          <th scope="row">
            <label :for="l.limit">{{ l.says }}</label>
          </th>
          <td>
            <StoredInput
              :id="l.limit"
              class="figure"
              :name="l.limit"
              :stored="String(l.value)"
              @typed="put(l, $event)"
            />
            {{ l.isLength ? 'mm' : '' }}
            <span v-if="refused[l.limit]" class="refused" role="alert">{{ refused[l.limit] }}</span>
          </td>
          <td class="quiet">
            default <span class="figure">{{ l.usual }}</span>
            <button v-if="l.value !== l.usual" type="button" @click="put(l, null)">back to it</button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
table {
  border-collapse: collapse;
  margin-top: 10px;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 16px 3px 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
input {
  width: 80px;
  height: 44px;
  padding: 0 8px;
  color: inherit;
  background: none;
  border: 1px solid rgb(var(--v-theme-iron));
  border-radius: 2px;
}
.changed th {
  font-weight: 600;
}
button {
  min-height: 44px;
  padding: 0 8px;
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
}
</style>
