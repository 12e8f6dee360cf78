<script setup lang="ts">
import { ref } from 'vue'
import {
  useJob,
  type Attachment,
  type Gauge,
  type Job,
  type LoopSheet,
  type WearPreference,
} from '../../api/shop'
import { saidOf, wholeOf } from '../../api/refused'
import FigureField from './FigureField.vue'
import { attachments, wears } from './choices'

const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const { gauge } = useJob(() => props.job.id)

/** Refusals stay by their field until that field is taken; other fields' figures are stored meanwhile. */
const refused = ref<Record<string, string[]>>({})
const trouble = ref<string | null>(null)

function take(field: keyof Gauge, value: string | null) {
  gauge.mutate(
    { [field]: value },
    {
      onSuccess: () => {
        delete refused.value[field]
        trouble.value = null
      },
      onError: (error) => {
        const said = saidOf(error, `$.${field}`)
        refused.value[field] = said
        trouble.value = said.length > 0 ? null : wholeOf(error)
      },
    },
  )
}

const fields = [
  { field: 'lugWidth', label: 'Lug width' },
  { field: 'lugToLug', label: 'Lug-to-lug' },
  { field: 'barToBar', label: 'Bar-to-bar' },
  { field: 'barRise', label: 'Bar rise above the back' },
  { field: 'wrist', label: 'Wrist, tape snug' },
] as const
</script>

<template>
  <div class="gauge">
    <p class="wide quiet">Type as you read: 19.4, 17,2 cm, 6 5/8 in. Enter or leaving the field takes it.</p>
    <FigureField
      v-for="f in fields"
      :key="f.field"
      :label="f.label"
      :name="f.field"
      :figure="job.figures[f.field]"
      :errors="refused[f.field] ?? []"
      :disabled="job.closedAt !== null"
      @typed="take(f.field, $event)"
    />
    <v-select
      :model-value="job.figures.wear"
      :items="wears"
      label="Worn"
      data-field="wear"
      :disabled="job.closedAt !== null"
      @update:model-value="(v: WearPreference) => take('wear', v)"
    />
    <v-select
      class="wide"
      :model-value="job.figures.attachment"
      :items="attachments"
      label="How the watch takes its band"
      data-field="attachment"
      :disabled="job.closedAt !== null"
      @update:model-value="(v: Attachment) => take('attachment', v)"
    />
    <v-text-field
      v-if="job.figures.attachment === 'ownShape'"
      class="wide"
      :model-value="job.figures.family ?? ''"
      label="Maker’s family code"
      name="family"
      :disabled="job.closedAt !== null"
      :error-messages="refused.family ?? []"
      @change="take('family', ($event.target as HTMLInputElement).value)"
    />
    <p v-if="loop && !loop.drawing && job.figures.missing.length === 0" class="wide" role="alert">
      {{ loop.says }}
    </p>
    <p v-if="loop?.notice" class="wide">{{ loop.notice }}</p>
    <p v-if="loop?.figures" class="wide">
      Needs <span class="figure">{{ loop.figures.neededMm.toFixed(1) }} mm</span> at no ease, give or take
      <span class="figure">{{ loop.figures.sigmaMm.toFixed(1) }} mm</span>; aim
      <span class="figure">{{ loop.figures.targetMm.toFixed(1) }} mm</span>.
    </p>
    <p v-if="trouble" class="wide refused" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.gauge {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 24px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
