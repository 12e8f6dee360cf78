<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useHabits } from '../../api/job'
import type { Habits, Job } from '../../api/shop'
import { saidOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ job: Job; open: boolean }>()
const { habits, wears } = useHabits(() => props.job.id)
const typed = reactive<Habits>({ offCentre: '', toward: 'six', hot: '', cold: '' })
watch(habits.data, (now) => now && Object.assign(typed, now), { immediate: true })
const error = ref<unknown>(null)
async function set() {
  try {
    await wears({ ...typed })
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <form @submit.prevent="set">
    <p>How {{ job.client }} wears it, whatever the watch. Empty is as the shop has it.</p>
    <v-text-field
      v-model="typed.offCentre"
      density="compact"
      label="Clasp worn off the middle on purpose, by"
      name="offCentre"
      autocomplete="off"
      :disabled="!open"
      :error-messages="saidOf(error, '$.offCentre')"
    />
    <label class="toward">
      toward
      <select v-model="typed.toward" class="plain-field" name="toward" :disabled="!open">
        <option value="six">the 6 side</option>
        <option value="twelve">the 12 side</option>
      </select>
    </label>
    <div class="days">
      <v-text-field
        v-model="typed.hot"
        density="compact"
        label="A hot day asks for more by"
        name="hot"
        autocomplete="off"
        :disabled="!open"
        :error-messages="saidOf(error, '$.hot')"
      />
      <v-text-field
        v-model="typed.cold"
        density="compact"
        label="A cold day for less by"
        name="cold"
        autocomplete="off"
        :disabled="!open"
        :error-messages="saidOf(error, '$.cold')"
      />
    </div>
    <RefusedLine :of="error" beside-fields />
    <v-btn v-if="open" type="submit" variant="outlined">Keep this for the client</v-btn>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.days {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 0 18px;
}
</style>
