<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useGauge, type GaugedFigure, type GaugeLine } from '../../api/gauge'
import type { Attachment, Job, LoopSheet } from '../../api/shop'
import PartTabs from '../../frame/PartTabs.vue'
import BraceletPart from './BraceletPart.vue'
import FigureLine from './FigureLine.vue'
import WristPart from './WristPart.vue'
import { useCaliper } from './caliper'
import { attachments, caseShapes } from './choices'
import { useSaving } from './saving'

type Part = 'watch' | 'bracelet' | 'wrist'
const props = defineProps<{ job: Job; loop?: LoopSheet | undefined }>()
const emit = defineEmits<{ figure: [figure: GaugedFigure]; part: [part: Part] }>()
const gauge = useGauge(() => props.job.id)
const sheet = computed(() => gauge.sheet.data.value)
const saving = useSaving()
const { refused, unsaved, trouble } = saving
const disabled = computed(() => props.job.closedAt !== null)

const part = ref<Part>('watch')
const parts = computed(() =>
  (
    [
      { part: 'watch', title: 'Watch' },
      { part: 'bracelet', title: 'Bracelet' },
      { part: 'wrist', title: 'Wrist' },
    ] as const
  ).filter((p) => p.part !== 'bracelet' || sheet.value?.braceletWanted),
)

/** Figures asked for though this job does not need them. */
const also = ref<GaugedFigure[]>([])
const partOf = { watch: 'watch', band: 'bracelet', wrist: 'wrist', clasp: null } as const
const shows = (line: GaugeLine) =>
  line.wanted || line.readings.length > 0 || also.value.includes(line.figure) || line.of === 'wrist'
/** A band's figures stand with the watch's when no bracelet is sized. */
const isHere = (line: GaugeLine) =>
  partOf[line.of] === part.value ||
  (line.of === 'band' && part.value === 'watch' && !sheet.value?.braceletWanted)
const lines = computed(() => sheet.value?.lines.filter((l) => isHere(l) && shows(l)) ?? [])
const others = computed(() => sheet.value?.lines.filter((l) => isHere(l) && !shows(l)) ?? [])

const root = useTemplateRef<HTMLElement>('root')
const focused = ref<GaugedFigure | null>(null)
watch(part, (now) => emit('part', now), { immediate: true })
watch(focused, (figure) => figure && emit('figure', figure))

const fields = () => [...(root.value?.querySelectorAll<HTMLInputElement>('input[data-figure]') ?? [])]

/** On to the next figure; from the last of one part to the first of the next. */
async function goOn(from: GaugedFigure) {
  const here = fields()
  const at = here.findIndex((f) => f.dataset.figure === from)
  if (at >= 0 && at + 1 < here.length) return here[at + 1]!.focus()
  // The figures of a bracelet are followed by its links, on the same sheet.
  const links = root.value?.querySelector<HTMLInputElement>('input[name=twelve]')
  if (part.value === 'bracelet' && links?.value === '') return links.focus()
  const next = parts.value[parts.value.findIndex((p) => p.part === part.value) + 1]
  if (next) await open(next.part)
}

async function open(to: Part) {
  part.value = to
  await nextTick()
  const first = fields().find((f) => !f.disabled)
  first?.focus()
}

async function take(figure: GaugedFigure, typed: string, stay: boolean, byLine = false) {
  const stored = await saving.save(figure, typed, () => gauge.read({ figure, typed, byLine }), '$.typed')
  if (stored && !stay) {
    await nextTick()
    if (document.activeElement === fields().find((f) => f.dataset.figure === figure)) await goOn(figure)
  }
}

/** A reading that came while no figure was waiting for one. */
const nowhere = ref<string | null>(null)
const { word, garbage } = useCaliper((typed) => {
  const figure = (document.activeElement as HTMLElement | null)?.dataset?.figure as GaugedFigure | undefined
  nowhere.value = figure ? null : `${typed} came, but no figure has the cursor: nothing was taken.`
  if (figure) void take(figure, typed, false, true)
})

function choose(field: 'attachment' | 'caseShape' | 'family', value: string) {
  void saving.save(field, value, () => gauge.choose({ [field]: value }))
}

function dropReading(figure: GaugedFigure, reading: number) {
  void saving.save(figure, '', () => gauge.dropReading(reading))
}

function letStand(figure: GaugedFigure) {
  void saving.save(figure, '', () => gauge.letStand(figure))
}

onMounted(async () => {
  await gauge.sheet.suspense()
  await nextTick()
  if (disabled.value) return
  const unread = lines.value.find((l) => l.wanted && l.readings.length === 0)?.figure
  const start = fields().find((f) => f.dataset.figure === unread) ?? fields()[0]
  start?.focus()
})
</script>

<template>
  <div v-if="sheet" ref="root" class="gauge">
    <PartTabs :parts="parts" label="What is gauged" :open="part" @open="open" />
    <p class="caliper quiet" role="status" data-testid="caliper">
      <span :class="{ up: word?.connected }" class="lamp" aria-hidden="true" />
      {{ nowhere ?? garbage ?? word?.says ?? 'Type as you read: 19.4, 17,2 cm, 6 5/8 in; Enter takes it.' }}
    </p>

    <div v-if="part === 'watch'" class="choices">
      <v-select
        :model-value="sheet.attachment"
        :items="attachments"
        density="compact"
        label="How the watch takes its band"
        data-field="attachment"
        :disabled="disabled"
        @update:model-value="(v: Attachment) => choose('attachment', v)"
      />
      <v-select
        v-if="sheet.attachment !== 'ownShape'"
        :model-value="sheet.caseShape"
        :items="caseShapes"
        density="compact"
        label="Case at the bar"
        data-field="caseShape"
        :disabled="disabled"
        @update:model-value="(v: string) => choose('caseShape', v)"
      />
      <v-text-field
        v-else
        :model-value="sheet.family ?? ''"
        density="compact"
        label="Maker’s family code"
        name="family"
        :disabled="disabled"
        :error-messages="refused.family ?? []"
        @change="choose('family', ($event.target as HTMLInputElement).value)"
      />
    </div>

    <div class="lines">
      <FigureLine
        v-for="l in lines"
        :key="l.figure"
        :line="l"
        :errors="refused[l.figure] ?? []"
        :unsaved="unsaved[l.figure]"
        :disabled="disabled"
        @typed="(text, stay) => take(l.figure, text, stay)"
        @skip="goOn(l.figure)"
        @drop="(reading) => dropReading(l.figure, reading)"
        @stands="letStand(l.figure)"
        @focused="focused = l.figure"
      />
    </div>
    <BraceletPart
      v-if="part === 'bracelet'"
      :sheet="sheet"
      :gauge="gauge"
      :saving="saving"
      :disabled="disabled"
    />
    <WristPart v-if="part === 'wrist'" :sheet="sheet" :gauge="gauge" :saving="saving" :disabled="disabled" />

    <p v-if="others.length > 0 && !disabled" class="others quiet">
      Also:
      <button v-for="l in others" :key="l.figure" type="button" @click="also.push(l.figure)">
        {{ l.name }}
      </button>
    </p>

    <p v-if="loop && !loop.drawing && job.figures.missing.length === 0" role="alert">
      {{ loop.says }}
    </p>
    <p v-if="loop?.notice">{{ loop.notice }}</p>
    <p v-if="trouble" class="refused" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.gauge {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.caliper {
  font-size: 15px;
  min-height: 21px;
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
.choices {
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 0 20px;
}
.gauge :deep(.v-input--density-compact .v-field__input) {
  min-height: 46px;
  padding-block: 18px 2px;
}
.lines {
  padding-left: 10px;
}
.others button {
  min-height: 34px;
  padding: 0 8px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
}
.refused {
  color: rgb(var(--v-theme-error));
}
</style>
