<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useBench, type BenchSetup, type BenchSheet } from '../../api/bench'
import { saidOf, wholeOf } from '../../api/refused'
import { pedalKey } from './pedal'
import { fasteners, insertions, microSchools, toolFamilies } from './words'

const props = defineProps<{ jobId: number; sheet: BenchSheet; open: boolean }>()
const { setUp } = useBench(() => props.jobId)
const typed = reactive<BenchSetup>({ ...props.sheet.setup })
watch(
  () => props.sheet.setup,
  (now, before) => {
    if (JSON.stringify(now) !== JSON.stringify(before)) Object.assign(typed, now)
  },
)
const error = ref<unknown>(null)
async function keep() {
  try {
    await setUp({ ...typed })
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
const listening = ref(false)
function take(event: KeyboardEvent) {
  if (event.key === 'Tab') return
  event.preventDefault()
  pedalKey.value = event.key
  listening.value = false
}
</script>

<template>
  <form @submit.prevent="keep">
    <fieldset v-if="sheet.hasLinks" :disabled="!open">
      <legend>What joins the links</legend>
      <label v-for="f in sheet.fasteners" :key="f.fastener" class="choice">
        <input v-model="typed.fastener" type="radio" name="fastener" :value="f.fastener" />
        <span
          ><strong>{{ fasteners[f.fastener] }}</strong> <span class="quiet">{{ f.knownBy }}</span></span
        >
      </label>
      <label class="choice">
        <input v-model="typed.noArrow" type="checkbox" name="noArrow" />
        <span>Nothing shows a direction</span>
      </label>
      <div class="row">
        <v-text-field
          v-for="[field, label] in [
            ['pin', 'Pin across'],
            ['slot', 'Screw’s slot'],
            ['gap', 'Gap for the fork'],
          ] as const"
          :key="field"
          v-model="typed[field]"
          density="compact"
          :name="field"
          :label="label"
          autocomplete="off"
          :error-messages="saidOf(error, `$.${field}`)"
        />
      </div>
      <div class="row">
        <select v-model="typed.tools" class="plain-field" name="tools" aria-label="Tools">
          <option v-for="t in toolFamilies" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.insertion" class="plain-field" name="insertion" aria-label="Pins back">
          <option v-for="t in insertions" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.micro" class="plain-field" name="micro" aria-label="Micro-adjust">
          <option v-for="t in microSchools" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
      </div>
      <p v-if="wholeOf(error)" class="refused" role="alert">{{ wholeOf(error) }}</p>
      <v-btn
        v-if="open"
        type="submit"
        :color="sheet.asks ? 'primary' : undefined"
        :variant="sheet.asks ? 'flat' : 'outlined'"
      >
        Work it like this
      </v-btn>
    </fieldset>
    <p class="pedal">
      Forward: Space, or a foot pedal that types <kbd>{{ pedalKey }}</kbd>.
      <v-btn
        variant="text"
        :aria-pressed="listening"
        @click="listening = true"
        @keydown="listening && take($event)"
        >{{ listening ? 'Press the pedal now' : 'Another key' }}</v-btn
      >
    </p>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: flex-start;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0;
}
.choice {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
input[type='radio'],
input[type='checkbox'] {
  width: 22px;
  height: 22px;
  accent-color: rgb(var(--v-theme-primary));
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  width: 100%;
}
.row .v-text-field {
  flex: 1 1 110px;
}
kbd {
  font-family: var(--figure);
  border: 1px solid rgb(var(--v-theme-hairline));
  padding: 0 6px;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
