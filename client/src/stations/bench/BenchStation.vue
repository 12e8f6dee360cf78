<script setup lang="ts">
import { useEventListener, useWakeLock } from '@vueuse/core'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useBench, type BenchSheet } from '../../api/bench'
import { useAgree } from '../../api/job'
import { wholeOf } from '../../api/refused'
import { useTools } from '../../api/tools'
import { useJobHere } from '../../job/here'
import PartTabs from '../../controls/PartTabs.vue'
import ReferralForm from '../ReferralForm.vue'
import { useActing } from '../../controls/acting'
import { focusFirstAct, useActs } from '../../controls/acts'
import { useInAddress } from '../../controls/inAddress'
import CamePart from '../CamePart.vue'
import JointsPart from './JointsPart.vue'
import JudgePart from './JudgePart.vue'
import { isPedal, pedalKey } from './pedal'
import LentPart from './LentPart.vue'
import OpenPart from './OpenPart.vue'
import NotesPart from '../NotesPart.vue'
import StepPart from './StepPart.vue'
import StepsPart from './StepsPart.vue'
import ToolsPart from './ToolsPart.vue'
import TrayPart from './TrayPart.vue'
import RefusedLine from '../../controls/RefusedLine.vue'

const { id, job, marked } = useJobHere()
const bench = useBench(id)
const agree = useAgree(id)
/** What is sized is looked over at Size first. */
const sized = computed(() => job.value.stations.some((s) => s.station === 'size' && s.used))
const { add } = useTools()
const sheet = computed(() => bench.sheet.data.value)
const open = computed(() => job.value.may.setUpBench.ok)
const next = computed(() => sheet.value?.steps.find((s) => s.next))
watch(next, (now) => (marked.value = now?.where ?? null), { immediate: true })

type Part = 'step' | 'steps' | 'tray' | 'tools' | 'stop'
const parts = [
  { part: 'step', title: 'Step' },
  { part: 'steps', title: 'All steps' },
  { part: 'tray', title: 'Tray' },
  { part: 'tools', title: 'Tools' },
  { part: 'stop', title: 'Stop' },
] as const
const part = useInAddress<Part>('part', 'step', (word) => parts.some((p) => p.part === word))

// A step takes longer than a finger bounces.
const { busy, error, act } = useActing(400)
// What was refused for want of a signature is no longer said once it is there.
watch(
  () => sheet.value?.consent?.signed,
  () => (error.value = null),
)
/** A try-on is passed by its own answer alone: by the button, or by Enter. */
const isTryOn = computed(() => next.value?.row === 'tryOn')
const stopped = ref(false)
watch(next, (now, before) => {
  if (now?.key !== before?.key) stopped.value = false
})
function forward() {
  const step = next.value
  if (open.value && step) void act(() => bench.tick(step.key, true, '', isTryOn.value))
}
function skip(reason: string) {
  const step = next.value
  if (step) void act(() => bench.tick(step.key, true, reason))
}
function wish(tool: BenchSheet['steps'][number]['wants'][number]) {
  const { kind, name, across, width } = tool
  void act(() => add({ kind, name, across, width, spares: 0, wanted: true }))
}
function back() {
  const last = sheet.value?.steps.filter((s) => s.done).at(-1)
  if (last) void act(() => bench.tick(last.key, false))
}

useEventListener('keydown', (event: KeyboardEvent) => {
  if (part.value !== 'step' || !isPedal(event, pedalKey.value)) return
  event.preventDefault()
  if (isTryOn.value) stopped.value = true
  else forward()
})

const leaving = ref(false)
watch(next, (now, before) => {
  if (now?.key !== before?.key) leaving.value = false
})
// The step is under the finger: Space or Enter answers it, unless something is being typed.
watch(
  () => [next.value?.key, part.value, open.value] as const,
  async ([key, shown]) => {
    if (!key || shown !== 'step') return
    await nextTick()
    if (!document.activeElement?.matches('input, textarea, select')) focusFirstAct()
  },
  { immediate: true },
)
const skips = { check: 'Problem…', tryOn: 'Not tried…' } as Record<string, string>
useActs(() => {
  if (!sheet.value) return null
  if (!job.value.planAgreed && job.value.may.agree.ok && !sized.value)
    return {
      back: { says: 'Size', to: `/jobs/${job.value.id}/size` },
      first: { says: 'Approve the plan', press: () => agree.mutate(), busy: agree.isPending.value },
    }
  const step = next.value
  if (!open.value || part.value !== 'step') return null
  const isBegun = sheet.value.steps.some((s) => s.done)
  const undo = isBegun ? [{ says: 'Undo the last step', press: back }] : []
  if (!step)
    return isBegun && !job.value.closedAt && job.value.stations.find((s) => s.station === 'bench')?.done
      ? { lesser: undo, first: { says: 'Next: Hand-over', to: `/jobs/${job.value.id}/hand-over` } }
      : null
  return {
    back: { says: 'Size', to: `/jobs/${job.value.id}/size` },
    lesser: [
      ...undo,
      ...(step.mayBeSkipped && !leaving.value
        ? [{ says: skips[step.row] ?? 'Skip…', press: () => (leaving.value = true) }]
        : []),
    ],
    first: {
      says: isTryOn.value ? 'As planned' : 'Done',
      press: forward,
      busy: busy.value,
      onSpace: isTryOn.value ? () => (stopped.value = true) : undefined,
    },
  }
})

// Both hands are busy: the screen stays awake where the browser can keep it so.
const wake = useWakeLock()
onMounted(() => {
  if (wake.isSupported.value) void wake.request('screen').catch(() => undefined)
})
</script>

<template>
  <template v-if="sheet && !job.planAgreed && job.may.agree.ok && !sized">
    <RefusedLine :of="wholeOf(agree.error.value)" />
  </template>
  <template v-if="sheet && (job.planAgreed || sheet.toGauge)">
    <PartTabs :parts="parts" label="The bench" :open="part" @open="part = $event" />
    <template v-if="part === 'step'">
      <RefusedLine :of="sheet.trouble || (open ? job.may.work.why : null)" />
      <OpenPart v-if="!job.planAgreed" :job="job" :sheet="sheet" :open="open" />
      <p v-if="open && sheet.onceIsEnough" data-testid="once">
        It will be right the first time with a chance of
        <span class="figure">{{ sheet.onceIsEnough }} %</span>.
        <v-btn
          variant="outlined"
          size="small"
          :disabled="busy"
          @click="act(() => bench.setUp({ ...sheet!.setup, tryOn: 'onceAtTheEnd' }))"
          >Try it on once, at the end</v-btn
        >
      </p>
      <StepPart
        v-if="sheet.steps.length > 0"
        :job-id="job.id"
        :sheet="sheet"
        :open="open"
        :busy="busy"
        :refusal="wholeOf(error)"
        :stopped="stopped"
        :leaving="leaving"
        @skip="skip"
        @wish="wish"
      >
        <template #question>
          <CamePart v-if="sheet.asks.includes('lugs')" :job-id="job.id" :sheet="sheet" :open="open" />
          <JointsPart :job-id="job.id" :sheet="sheet" :groups="sheet.asks" :open="open" />
        </template>
      </StepPart>
      <JudgePart v-if="open" :job-id="job.id" :came-out="sheet.cameOut" :gone="sheet.gone" />
      <NotesPart :job-id="job.id" :notes="sheet.notes" :open="open" adds title="Noted" />
    </template>
    <StepsPart v-else-if="part === 'steps'" :sheet="sheet" />
    <TrayPart v-else-if="part === 'tray'" :job-id="job.id" :sheet="sheet" :open="open" />
    <template v-else-if="part === 'tools'">
      <CamePart :job-id="job.id" :sheet="sheet" :open="open" />
      <JointsPart :job-id="job.id" :sheet="sheet" :groups="sheet.joints.map((j) => j.group)" :open="open" />
      <ToolsPart :job-id="job.id" :sheet="sheet" :open="open" />
      <LentPart :job-id="job.id" :lent="sheet.lent" :open="open" />
    </template>
    <template v-else>
      <p>
        Stop at any step, for no other reason than doubt: the job is held, the tray keeps what is in it, and
        the work goes on where it was when it is taken back.
      </p>
      <ReferralForm :job="job" doubt />
      <p v-if="job.referred">
        <a :href="`/api/jobs/${job.id}/bench/referral.pdf`" target="_blank" rel="noopener"
          >Print what was found</a
        >
      </p>
    </template>
  </template>
</template>
