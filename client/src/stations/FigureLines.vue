<script setup lang="ts">
import { nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { useGauge, type GaugedFigure, type GaugeLine } from '../api/gauge'
import { newName } from '../api/http'
import FigureLine from './FigureLine.vue'
import { useCaliper } from '../controls/caliper'
import { useSaving, type Saving } from '../controls/saving'
import RefusedLine from '../controls/RefusedLine.vue'

/** Figures read one after the other: the cursor goes on at once, and each is stored behind it. */
const props = defineProps<{ lines: GaugeLine[]; jobId: number; disabled: boolean; saving?: Saving }>()
const emit = defineEmits<{ figure: [figure: GaugedFigure]; end: [] }>()
const gauge = useGauge(() => props.jobId)
const saving = props.saving ?? useSaving()
const { refused, returned, unsaved, trouble } = saving
const root = useTemplateRef<HTMLElement>('root')
const fields = () => [...(root.value?.querySelectorAll<HTMLInputElement>('input[data-figure]') ?? [])]

function goOn(from: GaugedFigure) {
  const here = fields()
  const next = here[here.findIndex((f) => f.dataset.figure === from) + 1]
  if (next) next.focus()
  else emit('end')
}

function take(figure: GaugedFigure, typed: string, stay: boolean, byLine = false) {
  const name = newName()
  void saving.save(figure, typed, () => gauge.read({ figure, typed, byLine }, name), '$.typed')
  if (!stay) goOn(figure)
}

/** A reading that came while no figure was waiting for one. */
const nowhere = ref<string | null>(null)
const { word, garbage } = useCaliper((typed) => {
  const figure = (document.activeElement as HTMLElement | null)?.dataset?.figure as GaugedFigure | undefined
  nowhere.value = figure ? null : `${typed} came, but no figure has the cursor: nothing was taken.`
  if (figure) take(figure, typed, false, true)
})

/** Puts the cursor where it is wanted: on one figure, else on the first that is not read yet, else on the first. */
function focus(figure?: GaugedFigure) {
  const unread = (isWanted: boolean) =>
    props.lines.find((l) => l.readings.length === 0 && (l.wanted || !isWanted))?.figure
  const start = figure ?? unread(true) ?? unread(false)
  if (!props.disabled) (fields().find((f) => f.dataset.figure === start) ?? fields()[0])?.focus()
}
onMounted(async () => {
  await nextTick()
  focus()
})
defineExpose({ focus })
</script>

<template>
  <div ref="root" class="lines">
    <p class="caliper quiet" role="status" data-testid="caliper">
      <span :class="{ up: word?.connected }" class="lamp" aria-hidden="true" />
      {{ nowhere ?? garbage ?? word?.says ?? 'Type as you read: 19.4, 17,2 cm, 6 5/8 in; Enter takes it.' }}
    </p>
    <FigureLine
      v-for="l in lines"
      :key="l.figure"
      :line="l"
      :errors="refused[l.figure] ?? []"
      :returned="returned[l.figure]"
      :unsaved="unsaved[l.figure]"
      :disabled="disabled"
      @typed="(text, stay) => take(l.figure, text, stay)"
      @skip="goOn(l.figure)"
      @drop="(reading) => saving.save(l.figure, '', () => gauge.dropReading(reading))"
      @stands="saving.save(l.figure, '', () => gauge.letStand(l.figure))"
      @focused="emit('figure', l.figure)"
    />
    <RefusedLine :of="trouble" />
  </div>
</template>

<style scoped>
.lines {
  padding-left: 10px;
}
.caliper {
  font-size: 15px;
  min-height: 21px;
  margin-left: -10px;
}
.lamp {
  display: inline-block;
  width: 10px;
  height: 10px;
  margin-right: 4px;
  border: 2px solid rgb(var(--v-theme-iron));
}
.lamp.up {
  background: rgb(var(--v-theme-primary));
  border-color: rgb(var(--v-theme-primary));
}
</style>
