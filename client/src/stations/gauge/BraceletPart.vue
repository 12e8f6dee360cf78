<script setup lang="ts">
import { ref } from 'vue'
import type { BraceletFields, GaugeSheet, useGauge } from '../../api/gauge'
import FastenerPicture from '../FastenerPicture.vue'
import SheetField from '../../controls/SheetField.vue'
import { fasteners } from './choices'
import type { Saving } from '../../controls/saving'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{
  sheet: GaugeSheet
  gauge: ReturnType<typeof useGauge>
  saving: Saving
  disabled: boolean
}>()

const claspNames = [
  'fold-over',
  'fold-over with safety flap',
  'butterfly with push buttons',
  'extending fold-over',
  'slide clasp',
]
const sides = [
  { title: '12 side', value: 'twelve' },
  { title: '6 side', value: 'six' },
]

type Typed = 'twelve' | 'six' | 'spares' | 'halfPitch' | 'claspTwelve' | 'claspSix' | 'step' | 'benchLength'

function put(field: keyof BraceletFields, value: BraceletFields[typeof field]) {
  void props.saving.save(
    `bracelet-${field}`,
    String(value),
    () => props.gauge.bracelet({ [field]: value }),
    `$.${field}`,
  )
}
const errorsOf = (field: Typed | 'positions' | 'position') => props.saving.refused[`bracelet-${field}`] ?? []
const unsavedOf = (field: Typed | 'positions' | 'position') => props.saving.unsaved[`bracelet-${field}`]
const noCount = ref<string | null>(null)
function putCount(field: 'positions' | 'position', text: string) {
  const typed = text.trim()
  noCount.value = null
  if (/^\d{1,3}$/.test(typed)) put(field, Number(typed))
  else noCount.value = `“${typed}” is no count; write it like 4.`
}
</script>

<template>
  <div class="bracelet">
    <p v-if="sheet.bracelet.question" class="question" role="alert">{{ sheet.bracelet.question }}</p>
    <div class="columns two">
      <SheetField
        label="12 side, as 7 full, 1 half, last fixed"
        name="twelve"
        :stored="sheet.bracelet.twelve"
        :errors="
          errorsOf('twelve').length > 0
            ? errorsOf('twelve')
            : sheet.bracelet.twelveWhyNot
              ? [sheet.bracelet.twelveWhyNot]
              : []
        "
        :unsaved="unsavedOf('twelve')"
        :disabled="disabled"
        @typed="put('twelve', $event)"
      />
      <SheetField
        label="6 side, from the case to the clasp"
        name="six"
        :stored="sheet.bracelet.six"
        :errors="
          errorsOf('six').length > 0
            ? errorsOf('six')
            : sheet.bracelet.sixWhyNot
              ? [sheet.bracelet.sixWhyNot]
              : []
        "
        hint="links of one pitch that are not alike get a letter: 2 of 8.2 kind b"
        :unsaved="unsavedOf('six')"
        :disabled="disabled"
        @typed="put('six', $event)"
      />
    </div>
    <div class="columns two">
      <SheetField
        label="Half link’s pitch"
        name="halfPitch"
        :stored="sheet.bracelet.halfPitch"
        :errors="errorsOf('halfPitch')"
        :unsaved="unsavedOf('halfPitch')"
        :disabled="disabled"
        @typed="put('halfPitch', $event)"
      />
      <SheetField
        label="Spare links"
        name="spares"
        :stored="sheet.bracelet.spares"
        :errors="
          errorsOf('spares').length > 0
            ? errorsOf('spares')
            : sheet.bracelet.sparesWhyNot
              ? [sheet.bracelet.sparesWhyNot]
              : []
        "
        :unsaved="unsavedOf('spares')"
        :disabled="disabled"
        @typed="put('spares', $event)"
      />
    </div>
    <div class="columns three">
      <v-combobox
        :model-value="sheet.bracelet.claspName"
        :items="claspNames"
        density="compact"
        label="Clasp"
        data-field="claspName"
        :disabled="disabled"
        @update:model-value="(v: string) => v && put('claspName', v)"
      />
      <SheetField
        label="Clasp, 12 pivot to centre"
        name="claspTwelve"
        :stored="sheet.bracelet.claspTwelve"
        :errors="errorsOf('claspTwelve')"
        :unsaved="unsavedOf('claspTwelve')"
        :disabled="disabled"
        @typed="put('claspTwelve', $event)"
      />
      <SheetField
        label="Centre to 6 pivot"
        name="claspSix"
        :stored="sheet.bracelet.claspSix"
        :errors="errorsOf('claspSix')"
        :unsaved="unsavedOf('claspSix')"
        :disabled="disabled"
        @typed="put('claspSix', $event)"
      />
    </div>
    <div class="columns four">
      <SheetField
        label="Micro positions"
        name="positions"
        inputmode="numeric"
        :stored="String(sheet.bracelet.positions)"
        :errors="errorsOf('positions')"
        :unsaved="unsavedOf('positions')"
        :disabled="disabled"
        @typed="putCount('positions', $event)"
      />
      <template v-if="sheet.bracelet.positions > 1">
        <SheetField
          label="Hole spacing"
          name="step"
          :stored="sheet.bracelet.step"
          :errors="errorsOf('step')"
          :unsaved="unsavedOf('step')"
          :disabled="disabled"
          @typed="put('step', $event)"
        />
        <SheetField
          label="Now in hole"
          name="position"
          inputmode="numeric"
          :stored="String(sheet.bracelet.position ?? '')"
          :errors="errorsOf('position')"
          :unsaved="unsavedOf('position')"
          :disabled="disabled"
          @typed="putCount('position', $event)"
        />
        <v-select
          :model-value="sheet.bracelet.microSide"
          :items="sides"
          density="compact"
          label="Holes on"
          data-field="microSide"
          :disabled="disabled"
          @update:model-value="(v: 'twelve' | 'six') => put('microSide', v)"
        />
      </template>
    </div>
    <div class="columns two">
      <SheetField
        label="Whole length along the bench, closed"
        name="benchLength"
        :stored="sheet.bracelet.benchLength"
        :hint="sheet.bracelet.lengthNow ? `the sheet adds up to ${sheet.bracelet.lengthNow}` : undefined"
        :errors="errorsOf('benchLength')"
        :unsaved="unsavedOf('benchLength')"
        :disabled="disabled"
        @typed="put('benchLength', $event)"
      />
      <p class="state" data-testid="bracelet">
        <template v-if="sheet.bracelet.missing.length > 0"
          >Still wanted: {{ sheet.bracelet.missing.join(', ') }}.</template
        >
        <template v-else>The bracelet is known, and is sized as it lies below.</template>
      </p>
    </div>
    <fieldset class="joined" :disabled="disabled">
      <legend class="quiet">Links joined by</legend>
      <label v-for="f in fasteners" :key="f.value">
        <input
          type="radio"
          name="fastener"
          :value="f.value"
          :checked="sheet.bracelet.fastener === f.value"
          @change="put('fastener', f.value)"
        />
        <FastenerPicture :fastener="f.value" />
        <span>{{ f.title }}</span>
      </label>
    </fieldset>
    <RefusedLine :of="noCount" />
  </div>
</template>

<style scoped>
.bracelet {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.columns {
  display: grid;
  gap: 6px 16px;
  align-items: start;
}
.two {
  grid-template-columns: 1fr 1fr;
}
.three {
  grid-template-columns: 1fr 1fr 1fr;
}
.four {
  grid-template-columns: repeat(4, 1fr);
}
.joined {
  border: 0;
  padding: 0;
  margin: 0 0 10px;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 2px 12px;
}
.joined label {
  min-height: 44px;
  display: grid;
  grid-template-columns: auto 1fr;
  align-items: center;
  gap: 0 8px;
}
.joined span {
  grid-column: 1 / -1;
  font-size: 14px;
}
@media (max-width: 600px) {
  .three {
    grid-template-columns: 1fr;
  }
  .four {
    grid-template-columns: 1fr 1fr;
  }
}
.state {
  align-self: center;
}
.question {
  border-left: 3px double rgb(var(--v-theme-on-surface));
  padding-left: 8px;
  font-weight: 600;
}
</style>
