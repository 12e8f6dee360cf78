<script setup lang="ts">
import { nextTick, onMounted, useTemplateRef } from 'vue'
import { useGauge, type GaugedFigure, type GaugeLine } from '../../api/gauge'
import FigureLine from './FigureLine.vue'
import { useCaliper } from './caliper'
import { useSaving } from './saving'

/** Figures read one after the other, each stored as it is read. */
const props = defineProps<{ lines: GaugeLine[]; jobId: number; disabled: boolean }>()
const emit = defineEmits<{ figure: [figure: GaugedFigure] }>()
const gauge = useGauge(() => props.jobId)
const saving = useSaving()
const { refused, unsaved, trouble } = saving
const root = useTemplateRef<HTMLElement>('root')
const fields = () => [...(root.value?.querySelectorAll<HTMLInputElement>('input[data-figure]') ?? [])]

function goOn(from: GaugedFigure) {
  const here = fields()
  here[here.findIndex((f) => f.dataset.figure === from) + 1]?.focus()
}

async function take(figure: GaugedFigure, typed: string, stay: boolean, byLine = false) {
  const stored = await saving.save(figure, typed, () => gauge.read({ figure, typed, byLine }), '$.typed')
  if (!stored || stay) return
  await nextTick()
  if (document.activeElement === fields().find((f) => f.dataset.figure === figure)) goOn(figure)
}
useCaliper((typed) => {
  const figure = (document.activeElement as HTMLElement | null)?.dataset?.figure as GaugedFigure | undefined
  if (figure) void take(figure, typed, false, true)
})
onMounted(async () => {
  await nextTick()
  const unread = props.lines.find((l) => l.readings.length === 0)?.figure
  const start = fields().find((f) => f.dataset.figure === unread) ?? fields()[0]
  if (!props.disabled) start?.focus()
})
</script>

<template>
  <div ref="root" class="lines">
    <FigureLine
      v-for="l in lines"
      :key="l.figure"
      :line="l"
      :errors="refused[l.figure] ?? []"
      :unsaved="unsaved[l.figure]"
      :disabled="disabled"
      @typed="(text, stay) => take(l.figure, text, stay)"
      @skip="goOn(l.figure)"
      @drop="(reading) => saving.save(l.figure, '', () => gauge.dropReading(reading))"
      @stands="saving.save(l.figure, '', () => gauge.letStand(l.figure))"
      @focused="emit('figure', l.figure)"
    />
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.lines {
  padding-left: 10px;
}
.lines :deep(.line) {
  grid-template-columns: 124px 96px minmax(0, 1fr) auto;
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
