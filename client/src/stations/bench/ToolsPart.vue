<script setup lang="ts">
import { ref } from 'vue'
import { useBench, type BenchSheet } from '../../api/bench'
import { wholeOf } from '../../api/refused'
import { useTools } from '../../api/tools'
import { useKept } from '../kept'
import { pedalKey } from './pedal'
import { grips, insertions, microSchools, runSchools, toolFamilies, tryOnSchools } from './words'

const props = defineProps<{ jobId: number; sheet: BenchSheet; open: boolean }>()
const { setUp, setHands } = useBench(() => props.jobId, false)
const { settle } = useTools()
const { typed, error, keep } = useKept(() => props.sheet.setup, setUp)
const { typed: hands, keep: keepHands } = useKept(() => props.sheet.hands, setHands)
const { error: notSettled, keep: settleIt } = useKept(
  () => props.sheet.setup,
  () => settle({ ...typed }),
)
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
      <legend>How it is worked</legend>
      <div class="row">
        <select v-model="typed.tools" class="plain-field" name="tools" aria-label="Tools">
          <option v-for="t in toolFamilies" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.toolsIn" class="plain-field" name="toolsIn" aria-label="Tools for putting in">
          <option :value="null">In with the same</option>
          <option v-for="t in toolFamilies" :key="t.value" :value="t.value">
            In: {{ t.title.toLowerCase() }}
          </option>
        </select>
        <select v-model="typed.insertion" class="plain-field" name="insertion" aria-label="Pins back">
          <option v-for="t in insertions" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.micro" class="plain-field" name="micro" aria-label="Micro-adjust">
          <option v-for="t in microSchools" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.runs" class="plain-field" name="runs" aria-label="Runs of links">
          <option v-for="t in runSchools" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
        <select v-model="typed.tryOn" class="plain-field" name="tryOnSchool" aria-label="Try-on">
          <option v-for="t in tryOnSchools" :key="t.value" :value="t.value">{{ t.title }}</option>
        </select>
      </div>
      <label class="choice">
        <input v-model="typed.oneByOne" type="checkbox" name="oneByOne" />
        <span>A run is taken apart link by link</span>
      </label>
      <label class="choice">
        <input v-model="typed.partedToLieFlat" type="checkbox" name="partedToLieFlat" />
        <span>Parted at the micro-adjust to lie flat</span>
      </label>
      <label class="choice">
        <input v-model="typed.headOff" type="checkbox" name="headOff" />
        <span>The head comes off its band for the work</span>
      </label>
      <label class="choice">
        <input v-model="typed.bendsBars" type="checkbox" name="bendsBars" />
        <span>A straight bar is bent where a curved one is wanted</span>
      </label>
      <p v-if="wholeOf(error) ?? wholeOf(notSettled)" class="refused" role="alert">
        {{ wholeOf(error) ?? wholeOf(notSettled) }}
      </p>
      <div v-if="open" class="row">
        <v-btn type="submit" variant="outlined">Work it like this</v-btn>
        <v-btn variant="text" @click="settleIt">This is how the shop works</v-btn>
      </div>
    </fieldset>
    <fieldset class="hands">
      <legend>The fitter’s hands</legend>
      <div class="row">
        <select
          v-model="hands.grip"
          class="plain-field"
          name="grip"
          aria-label="How the watch is held"
          @change="keepHands"
        >
          <option v-for="g in grips" :key="g.value" :value="g.value">{{ g.title }}</option>
        </select>
        <label class="choice">
          <input v-model="hands.leftHanded" type="checkbox" name="leftHanded" @change="keepHands" />
          <span>left-handed</span>
        </label>
      </div>
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
input[type='checkbox'] {
  width: 22px;
  height: 22px;
}
kbd {
  font-family: var(--figure);
  border: 1px solid rgb(var(--v-theme-hairline));
  padding: 0 6px;
}
</style>
