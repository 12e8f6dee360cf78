<script setup lang="ts">
import { reactive } from 'vue'
import { useBench, type BenchSheet } from '../../api/bench'
import { useActing } from '../../controls/acting'
import RefusedLine from '../../controls/RefusedLine.vue'

/** What the shop lends for the work, such as fitting pins: fetched before the first joint, back in its drawer at the end. */
const props = defineProps<{ jobId: number; lent: BenchSheet['lent']; open: boolean }>()
const { lend } = useBench(() => props.jobId, false)
const { busy, error, act } = useActing()
const typed = reactive({ name: '', count: 1, drawer: '' })
async function add() {
  await act(() => lend([...props.lent, { ...typed }]))
  if (!error.value) Object.assign(typed, { name: '', count: 1, drawer: '' })
}
const drop = (at: number) => act(() => lend(props.lent.filter((_, i) => i !== at)))
</script>

<template>
  <section class="lent">
    <h2>Lent for the work</h2>
    <ul v-if="lent.length > 0">
      <li v-for="(l, i) in lent" :key="`${l.name}-${l.drawer}`">
        <span class="figure">{{ l.count }}</span> {{ l.name }}, {{ l.drawer }}
        <button v-if="open" type="button" class="plain" :disabled="busy" @click="drop(i)">not lent</button>
      </li>
    </ul>
    <form v-if="open" @submit.prevent="add">
      <input
        v-model.number="typed.count"
        class="plain-field count"
        type="number"
        min="1"
        max="20"
        name="lentCount"
        aria-label="How many"
      />
      <input
        v-model="typed.name"
        class="plain-field"
        name="lentName"
        placeholder="What, such as fitting pin"
        aria-label="What is lent"
        autocomplete="off"
      />
      <input
        v-model="typed.drawer"
        class="plain-field"
        name="lentDrawer"
        placeholder="Drawer"
        aria-label="Drawer"
        autocomplete="off"
      />
      <v-btn
        type="submit"
        variant="outlined"
        :disabled="busy || typed.name.trim() === '' || typed.drawer.trim() === ''"
        >Lend</v-btn
      >
    </form>
    <RefusedLine :of="error" />
  </section>
</template>

<style scoped>
.lent {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
h2 {
  font-size: 17px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li button {
  min-height: 44px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
}
form input {
  flex: 1 1 140px;
}
form .count {
  flex: 0 1 70px;
}
</style>
