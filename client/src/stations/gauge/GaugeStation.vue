<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useGauge, type GaugedFigure, type GaugeLine } from '../../api/gauge'
import type { Attachment } from '../../api/shop'
import { useJobHere } from '../../job/here'
import PartTabs from '../../controls/PartTabs.vue'
import BraceletPart from './BraceletPart.vue'
import ByHandPart from './ByHandPart.vue'
import ModelLine from './ModelLine.vue'
import FigureLines from '../FigureLines.vue'
import { useInAddress } from '../../controls/inAddress'
import WristPart from './WristPart.vue'
import { attachments, caseShapes } from './choices'
import { wholeOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActing } from '../../controls/acting'
import { useActs } from '../../controls/acts'
import { useSaving } from '../../controls/saving'

type Part = 'watch' | 'bracelet' | 'wrist'
const { id, job, loop, figure: focusedOn, part: shown, sought } = useJobHere()
const gauge = useGauge(id)
const sheet = computed(() => gauge.sheet.data.value)
const saving = useSaving()
const { refused } = saving
const { busy: confirming, error: unconfirmed, act } = useActing(200)
const disabled = computed(() => !job.value.may.gauge.ok)

const parts = computed(() =>
  (
    [
      { part: 'watch', title: 'Watch' },
      { part: 'bracelet', title: 'Bracelet' },
      { part: 'wrist', title: 'Wrist' },
    ] as const
  ).filter((p) => p.part !== 'bracelet' || sheet.value?.braceletWanted),
)

const part = useInAddress<Part>('part', 'watch', (word) => parts.value.some((p) => p.part === word))

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

/** What was refused of a part that is not shown any more: the cursor had gone on. */
const away = computed(
  () => sheet.value?.lines.filter((l) => refused[l.figure]?.length && !lines.value.includes(l)) ?? [],
)

const root = useTemplateRef<HTMLElement>('root')
const figures = useTemplateRef<InstanceType<typeof FigureLines>>('figures')
const focused = ref<GaugedFigure | null>(null)
watch(part, (now) => (shown.value = now), { immediate: true })
watch(focused, (now) => now && (focusedOn.value = now))

/** From the last figure of one part to the first of the next. */
async function goOn() {
  // The figures of a bracelet are followed by its links, on the same sheet.
  const links = root.value?.querySelector<HTMLInputElement>('input[name=twelve]')
  if (part.value === 'bracelet' && links?.value === '') return links.focus()
  const next = parts.value[parts.value.findIndex((p) => p.part === part.value) + 1]
  if (next) await open(next.part)
}

async function open(to: Part, figure?: GaugedFigure) {
  part.value = to
  await nextTick()
  figures.value?.focus(figure ?? lines.value[0]?.figure)
}

async function goTo(line: GaugeLine) {
  if (!shows(line)) also.value.push(line.figure)
  const of = partOf[line.of] ?? 'watch'
  await open(parts.value.some((p) => p.part === of) ? of : 'watch', line.figure)
}

// What is wanted next is on one of the parts.
watch(
  [sought, sheet],
  async ([field, now]) => {
    if (field === null || !now) return
    const line = now.lines.find((l) => l.figure === field)
    if (line) {
      await goTo(line)
      sought.value = null
    } else if (field === 'bracelet') {
      part.value = 'bracelet'
      await nextTick()
      const fields = [
        ...(root.value?.querySelectorAll<HTMLInputElement>('.bracelet input:not([type=hidden])') ?? []),
      ]
      ;(fields.find((f) => f.value === '') ?? fields[0])?.focus()
      sought.value = null
    } else part.value = field === 'wear' ? 'wrist' : 'watch'
  },
  { immediate: true },
)

/** What the model book filled in is confirmed in one press, before the wrist is read. */
useActs(() => {
  const waits = sheet.value?.model?.unconfirmed.length ?? 0
  if (waits === 0 || disabled.value || part.value === 'wrist') return null
  return {
    first: {
      says: `Confirm ${waits} ${waits === 1 ? 'figure' : 'figures'} of the book`,
      busy: confirming.value,
      press: () => act(() => gauge.confirmModel()),
    },
  }
})

function choose(field: 'attachment' | 'caseShape' | 'family', value: string) {
  void saving.save(field, value, () => gauge.choose({ [field]: value }))
}
</script>

<template>
  <div v-if="sheet" ref="root" class="gauge">
    <PartTabs :parts="parts" label="What is gauged" :open="part" @open="open" />
    <p v-if="loop?.readNext" class="quiet" data-testid="read-next">{{ loop.readNext }}</p>
    <ModelLine
      v-if="
        sheet.model && part !== 'wrist' && (sheet.model.offered.length > 0 || sheet.model.taken.length > 0)
      "
      :model="sheet.model"
      :gauge="gauge"
      :disabled="disabled"
    />
    <RefusedLine :of="wholeOf(unconfirmed)" />
    <ByHandPart v-if="sheet.byHand && part === 'watch'" :asks="sheet.byHand" />
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

    <FigureLines
      ref="figures"
      :lines="lines"
      :job-id="job.id"
      :saving="saving"
      :disabled="disabled"
      @figure="focused = $event"
      @end="goOn"
    />
    <p v-for="l in away" :key="l.figure" class="refused" role="alert">
      {{ l.name }}: {{ refused[l.figure]!.join(' ') }}
      <button type="button" class="go" @click="goTo(l)">Go there</button>
    </p>
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
  </div>
</template>

<style scoped>
.gauge {
  display: flex;
  flex-direction: column;
  gap: 8px;
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
.go,
.others button {
  min-height: 44px;
  padding: 0 8px;
  text-decoration: underline;
  color: rgb(var(--v-theme-primary));
}
</style>
