<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { GaugeLine } from '../api/gauge'

const props = defineProps<{
  line: GaugeLine
  errors: string[]
  /** What was refused, to be mended in its field. */
  returned?: string | undefined
  unsaved: string | undefined
  disabled: boolean
}>()
const emit = defineEmits<{
  /** What was typed; stay when the next reading is to be of the same figure. */
  typed: [text: string, stay: boolean]
  skip: []
  drop: [reading: number]
  stands: []
  focused: []
}>()

const text = ref('')
const field = useTemplateRef<HTMLInputElement>('field')
const isAssumed = computed(() => props.line.value?.assumed === true)
/** Leaving the field does not hand on again what was refused. */
let came = ''
// What was refused comes back into its field, unless something else is typed there by now.
watch(
  () => props.returned,
  (refused) => {
    if (refused !== undefined && text.value === '') text.value = came = refused
  },
)

/** What was typed leaves the field as it is handed on: the field is free for the next reading at once. */
function take(stay: boolean) {
  const typed = text.value.trim()
  text.value = came = ''
  if (typed.length > 0) emit('typed', typed, stay)
  else if (!stay) emit('skip')
}

function onBlur() {
  const typed = text.value.trim()
  if (typed.length > 0 && typed !== came) take(true)
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="line" :class="{ questioned: line.question }">
    <label :for="`figure-${line.figure}`">{{ line.name }}</label>
    <input
      :id="`figure-${line.figure}`"
      ref="field"
      v-model="text"
      class="entry figure"
      :name="line.figure"
      :data-figure="line.figure"
      autocomplete="off"
      :aria-invalid="errors.length > 0"
      :disabled="disabled"
      :placeholder="line.readings.length > 0 ? 'again' : ''"
      @focus="emit('focused')"
      @blur="onBlur"
      @keydown.enter.exact.prevent="take(false)"
      @keydown.enter.shift.prevent="take(true)"
    />
    <span class="value" :class="{ assumed: isAssumed }" :data-testid="`value-${line.figure}`">
      <template v-if="line.value">
        <span v-if="isAssumed && !line.book" class="quiet">assumed </span
        ><span class="figure big">{{ line.value.text }}</span>
        <span class="figure quiet inch">{{ line.value.inches }}</span>
      </template>
      <span v-else class="quiet">{{ line.usually ?? 'not gauged yet' }}</span>
    </span>
    <span v-if="line.readings.length > 0" class="readings">
      <template v-if="line.readings.length > 1">
        <template v-for="r in line.readings" :key="r.id">
          <span v-if="disabled || r.earlier" class="reading figure">{{ r.text }}</span>
          <button
            v-else
            type="button"
            class="reading figure drop"
            :aria-label="`Delete the reading ${r.text} of ${line.name}`"
            @click="emit('drop', r.id)"
          >
            {{ r.text }} ×
          </button>
        </template>
        <span v-if="line.spread" class="quiet"
          >spread <span class="figure">{{ line.spread }}</span></span
        >
      </template>
      <span v-if="line.readings[0]?.earlier" class="quiet">earlier visit</span>
      <button
        v-else-if="!disabled && line.readings.length === 1"
        type="button"
        class="drop"
        :aria-label="`Delete the reading ${line.readings[0]?.text} of ${line.name}`"
        @click="emit('drop', line.readings[0]!.id)"
      >
        Delete
      </button>
    </span>
    <p v-if="unsaved" class="note refused" role="alert">Not saved yet: {{ unsaved }}</p>
    <p v-for="e in errors" :key="e" class="note refused" role="alert">{{ e }}</p>
    <p v-if="line.question" class="note">
      {{ line.question }}
      <button v-if="!disabled" type="button" class="stands" @click="emit('stands')">Confirm</button>
    </p>
    <p v-if="line.book" class="note quiet">{{ line.book }}</p>
    <p v-if="line.stands" class="note quiet">Looked at again: it is so.</p>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 112px 96px minmax(0, 1fr) auto;
  align-items: center;
  gap: 0 10px;
  min-height: 48px;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}
.line:focus-within {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
  padding-left: 10px;
  margin-left: -10px;
}
label {
  font-weight: 600;
}
label::first-letter {
  text-transform: uppercase;
}
.entry {
  height: 44px;
  width: 100%;
  padding: 0 8px;
  font-size: 18px;
  color: inherit;
  border: 1px solid rgb(var(--v-theme-iron));
  border-radius: 2px;
  background: none;
}
.entry:focus {
  background: rgb(var(--v-theme-primary), 0.1);
}
.entry[aria-invalid='true'] {
  border-color: rgb(var(--v-theme-error));
}
.value {
  white-space: nowrap;
}
.value.assumed {
  grid-column: 3 / -1;
  white-space: normal;
}
.big {
  font-size: 19px;
  font-weight: 600;
}
.assumed .big {
  font-weight: 400;
  text-decoration: underline dashed 1px;
  text-underline-offset: 4px;
}
.inch {
  display: inline-block;
  white-space: nowrap;
  font-size: 15px;
  margin-left: 6px;
}
.readings {
  grid-column: 3 / -1;
  grid-row: 2;
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 10px;
  font-size: 15px;
}
.readings:not(:has(.reading)) {
  grid-row: 1;
  grid-column: 4;
}
.drop,
.stands {
  color: rgb(var(--v-theme-primary));
  text-decoration: underline;
  min-height: 44px;
  padding: 0 4px;
}
.stands {
  font-weight: 600;
}
.note {
  grid-column: 1 / -1;
  padding-bottom: 4px;
  font-size: 16px;
}
.questioned .note:not(.refused) {
  border-left: 3px double rgb(var(--v-theme-on-surface));
  padding-left: 8px;
  margin-bottom: 6px;
}
@media (max-width: 1100px) {
  .value {
    white-space: normal;
  }
}
@media (max-width: 800px) {
  .line {
    grid-template-columns: 84px 84px minmax(0, 1fr);
  }
  .value {
    white-space: normal;
  }
  .readings,
  .readings:not(:has(.reading)) {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
