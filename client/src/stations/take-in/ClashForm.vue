<script setup lang="ts">
import { reactive } from 'vue'
import type { TakeIn } from '../../api/shop'
import type { Clash } from './merge'
import { requests } from '../../job/requests'

/** Fields that somebody else filled differently meanwhile: both values, and a choice for each. */
const props = defineProps<{ clashes: Clash<TakeIn>[] }>()
const emit = defineEmits<{ chosen: [fields: Partial<TakeIn>] }>()
const choice = reactive<Record<string, 'mine' | 'theirs' | undefined>>({})

const titles: Partial<Record<keyof TakeIn, string>> = {
  client: 'Client',
  contact: 'Phone or e-mail',
  watch: 'Watch',
  request: 'Service',
  promised: 'Promised for',
  words: 'In the owner’s words',
  price: 'Price agreed',
  wearer: 'The wearer is here',
}
const shown = (value: unknown) =>
  requests.find((r) => r.value === value)?.title ??
  { '': 'nothing', true: 'yes', false: 'no' }[String(value)] ??
  String(value)

function keep() {
  emit('chosen', Object.fromEntries(props.clashes.map((c) => [c.field, c[choice[c.field] ?? 'theirs']])))
}
</script>

<template>
  <form class="clash" aria-label="Changed by both" @submit.prevent="keep">
    <h2>Somebody else changed the same on another screen.</h2>
    <p>Nothing of yours is stored yet. Choose for each what is to stand.</p>
    <fieldset v-for="c in clashes" :key="c.field">
      <legend>{{ titles[c.field] ?? c.field }}</legend>
      <label
        ><input v-model="choice[c.field]" type="radio" :name="`clash-${c.field}`" value="theirs" required />
        Theirs: {{ shown(c.theirs) }}</label
      >
      <label
        ><input v-model="choice[c.field]" type="radio" :name="`clash-${c.field}`" value="mine" required />
        Yours: {{ shown(c.mine) }}</label
      >
    </fieldset>
    <v-btn color="primary" type="submit">Save it like this</v-btn>
  </form>
</template>

<style scoped>
.clash {
  display: grid;
  gap: 10px;
  justify-items: start;
  margin-bottom: 18px;
  padding: 12px 16px;
  border: 2px solid rgb(var(--v-theme-primary));
}
h2 {
  font-size: 19px;
  font-weight: 600;
}
fieldset {
  display: grid;
  border: 0;
}
legend {
  font-weight: 600;
}
label {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
input {
  width: 20px;
  height: 20px;
}
</style>
