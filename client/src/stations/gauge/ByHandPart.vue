<script setup lang="ts">
import { computed, reactive, watch } from 'vue'
import { useTellByHand, type HandWork } from '../../api/counter'
import type { AsksByHand } from '../../api/gauge'
import { wholeOf } from '../../api/refused'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useActing } from '../../controls/acting'
import DraftLine from '../../controls/DraftLine.vue'
import { useDraft } from '../../controls/drafts'
import { useJobHere } from '../../job/here'
import { askedOf, sentOf, type Answers } from '../questions'

/** Work that is told by a count, a place or a part, and needs no figure. */
const props = defineProps<{ asks: AsksByHand }>()
const { id, job } = useJobHere()
const { tell, forget } = useTellByHand(id)
const { busy, error, act } = useActing(200)
const may = computed(() => job.value.may.tellByHand.ok)

const answers = reactive<Answers>({})
watch(
  () => job.value.byHand,
  (told) => {
    for (const { ask } of props.asks.questions) {
      const said = told?.[ask as keyof HandWork]
      answers[ask] = said == null ? undefined : String(said)
    }
  },
  { immediate: true },
)
const asked = computed(() => askedOf(props.asks.questions, answers))
const draft = useDraft(
  `by hand of ${id.value}`,
  () => {
    const told = job.value.byHand as Record<string, unknown> | null
    const isTold = props.asks.questions.every(
      ({ ask }) => (answers[ask] ?? '') === (told?.[ask] == null ? '' : String(told[ask])),
    )
    return isTold ? null : { ...answers }
  },
  (kept) => Object.assign(answers, kept),
)
async function say() {
  await tell(told())
  draft.done()
}
const told = (): HandWork => ({ kind: props.asks.tells, ...sentOf(props.asks.questions, answers) })
</script>

<template>
  <form data-wanted="byHand" class="by-hand" @submit.prevent="act(say)">
    <fieldset :disabled="!may || busy">
      <legend>{{ asks.name }}</legend>
      <label v-for="q in asked" :key="q.ask"
        >{{ q.label }}
        <select v-if="q.choices.length > 0" v-model="answers[q.ask]" class="plain-field" :name="q.ask">
          <option v-if="!q.usual" :value="undefined">…</option>
          <option v-for="c in q.choices" :key="c.value" :value="c.value">{{ c.says }}</option>
        </select>
        <input v-else v-model="answers[q.ask]" class="plain-field" :name="q.ask" inputmode="numeric" />
        <span v-if="q.unit" class="quiet">{{ q.unit }}</span>
      </label>
      <div>
        <v-btn variant="outlined" size="small" type="submit">{{
          job.byHand ? 'So it is' : 'Tell it so'
        }}</v-btn>
        <v-btn v-if="job.byHand && asks.orByFigures" variant="text" size="small" @click="act(forget)"
          >By figures instead</v-btn
        >
      </div>
    </fieldset>
    <DraftLine :draft="draft" />
    <RefusedLine :of="wholeOf(error)" />
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
legend {
  font-size: 17px;
  font-weight: 600;
  padding: 0 0 4px;
}
legend::first-letter {
  text-transform: uppercase;
}
label {
  display: grid;
  grid-template-columns: 11em auto 1fr;
  gap: 10px;
  align-items: center;
}
input[inputmode] {
  width: 4.5em;
}
</style>
