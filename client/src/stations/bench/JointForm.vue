<script setup lang="ts">
import { useBench, type BenchSheet, type JointLook } from '../../api/bench'
import { saidOf } from '../../api/refused'
import FastenerPicture from '../FastenerPicture.vue'
import { useKept } from '../kept'
import { fasteners as names, groups } from './words'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{
  jobId: number
  look: JointLook
  fasteners: BenchSheet['fasteners']
  asked: boolean
  open: boolean
}>()
const { found } = useBench(() => props.jobId, false)
const { typed, error, keep } = useKept(() => props.look, found)
</script>

<template>
  <form :data-group="look.group" @submit.prevent="keep">
    <fieldset :disabled="!open">
      <legend>{{ groups[look.group] }}</legend>
      <!-- What holds a band at the lugs is said with the watch; here are its sizes. -->
      <div v-if="look.group !== 'lugs'" class="choices" :class="{ asked }">
        <label v-for="f in fasteners" :key="f.fastener" class="choice">
          <input
            v-model="typed.fastener"
            type="radio"
            :name="`fastener-${look.group}`"
            :value="f.fastener"
            @change="asked && keep()"
          />
          <FastenerPicture :fastener="f.fastener" />
          <span
            ><strong>{{ names[f.fastener] }}</strong>
            <span v-if="!asked" class="quiet">{{ f.knownBy }}</span></span
          >
        </label>
      </div>
      <template v-if="!asked">
        <label v-if="look.group !== 'lugs'" class="choice">
          <input v-model="typed.noArrow" type="checkbox" :name="`noArrow-${look.group}`" />
          <span>Nothing shows a direction</span>
        </label>
        <div class="row">
          <v-text-field
            v-for="[field, label] in [
              ['across', 'Pin or bar across'],
              ['slot', 'Screw’s slot'],
              ['slotLength', 'Slot’s length'],
              ['gap', 'Gap for the fork'],
            ] as const"
            :key="field"
            v-model="typed[field]"
            density="compact"
            :name="`${field}-${look.group}`"
            :label="label"
            autocomplete="off"
            :error-messages="saidOf(error, `$.${field}`)"
          />
        </div>
      </template>
      <RefusedLine :of="error" />
      <v-btn v-if="open && !asked" type="submit" variant="outlined">Keep</v-btn>
    </fieldset>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0 0 8px;
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
.choices {
  display: grid;
  gap: 6px 12px;
}
.choices.asked {
  grid-template-columns: 1fr 1fr;
}
.choice {
  display: grid;
  grid-template-columns: auto auto 1fr;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
input[type='radio'],
input[type='checkbox'] {
  width: 22px;
  height: 22px;
}
.choice .quiet {
  display: block;
}
.row .v-text-field {
  flex: 1 1 110px;
}
</style>
