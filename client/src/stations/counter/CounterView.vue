<script setup lang="ts">
import { refDebounced, useLocalStorage, useTitle } from '@vueuse/core'
import { computed, nextTick, onMounted, reactive, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useCounter, useCounterAnswer, useCounterQuestions, type RequestAsks } from '../../api/counter'
import { useModels } from '../../api/models'
import { saidOf, wholeOf } from '../../api/refused'
import type { Request } from '../../api/shop'
import ByField from '../../controls/ByField.vue'
import DraftLine from '../../controls/DraftLine.vue'
import RefusedLine from '../../controls/RefusedLine.vue'
import { useDraft } from '../../controls/drafts'
import { useActing } from '../../controls/acting'
import { useActs } from '../../controls/acts'
import { pathOf } from '../../job/stations'
import VerdictRing from '../VerdictRing.vue'
import { askedOf, type Answers, type Question } from '../questions'
import { sheetOf } from './sheet'

const router = useRouter()
useTitle('Counter – Iron Loop')
const initials = useLocalStorage('iron-loop-initials', '')
const request = ref<Request>()
const answers = reactive<Answers>({})
const who = reactive({ client: '', watch: '', words: '', by: initials.value, wearer: true })
const { busy, error, act } = useActing(400)
const takeIn = useCounter()
/** Models of the book that are called like what is typed. */
const soughtModel = refDebounced(
  computed(() => who.watch),
  120,
)
const { data: models } = useModels(soughtModel, 0, () => soughtModel.value.trim().length > 1, 6)
/** The model the watch is called after: its figures go where nothing is typed. */
const model = computed(() => models.value?.models.find((m) => m.name === who.watch && m.figures > 0))

const draft = useDraft(
  'counter',
  () => ({ request: request.value, answers: { ...answers }, who: { ...who, by: '' } }),
  (kept) => {
    request.value = kept.request
    Object.assign(answers, kept.answers)
    Object.assign(who, kept.who, { by: who.by })
    at.value = asks.value.length
  },
)

const { data: requests } = useCounterQuestions()
/** What is asked of the request that was chosen. */
const chosen = computed(() => requests.value?.find((r) => r.request === request.value))
type Ask = Pick<Question, 'label' | 'choices' | 'usual' | 'unit'> & { ask: string; by: Question['by'] }
const first = computed<Ask>(() => ({
  ask: 'request',
  label: 'Service',
  by: 'choice',
  choices: (requests.value ?? []).map((r) => ({ value: r.request, says: r.name })),
  usual: null,
  unit: '',
}))
const asks = computed<Ask[]>(() => [
  first.value,
  ...(chosen.value ? askedOf(chosen.value.questions, answers) : []),
])
/** The question the keys go to; behind the last one, Enter goes to the bench. */
const at = ref(0)
const typed = ref('')
const now = computed<Ask | undefined>(() => asks.value[at.value])

const nothing: RequestAsks = { request: 'somethingElse', name: '', tells: null, questions: [] }
/** What is in the middle of being typed is answered with the rest. */
const sheet = computed(() =>
  sheetOf(
    chosen.value ?? nothing,
    now.value && !choicesOf(now.value) && typed.value !== ''
      ? { ...answers, [now.value.ask]: typed.value }
      : answers,
    who,
    model.value?.edition,
  ),
)
const settled = refDebounced(sheet, 90)
const { data: answer, error: unheard, isPlaceholderData } = useCounterAnswer(settled)
/** Whether what is answered was answered to what is asked now. */
const isHeard = computed(
  () => JSON.stringify(settled.value) === JSON.stringify(sheet.value) && !isPlaceholderData.value,
)
const refused = computed(() => (request.value ? wholeOf(unheard.value) : null))
/** What the model book answers to a question, where nothing is typed. */
const bookOf = (ask: Ask) =>
  model.value ? answer.value?.book.find((b) => b.ask === ask.ask)?.says : undefined
const offers = computed(() => answer.value?.offers ?? [])
const minutes = computed(() => Math.max(1, Math.round(Number(answer.value?.minutes ?? 0))))
const isReady = computed(() => request.value !== undefined && answer.value?.whyNot == null && !unheard.value)

function choicesOf(ask: Ask) {
  if (ask.by === 'length' || ask.by === 'count') return undefined
  return ask.by === 'offer'
    ? offers.value.map((o) => ({
        value: String(o.id),
        says: `${o.name}, ${(Number(o.priceCents) / 100).toFixed(2)}`,
        offer: o,
      }))
    : ask.choices.map((c) => ({ ...c, offer: undefined }))
}

function answerTo(ask: Ask) {
  const value = ask.ask === 'request' ? request.value : answers[ask.ask]
  return value === undefined
    ? (bookOf(ask) ?? '')
    : (choicesOf(ask)?.find((c) => c.value === value)?.says ?? `${value} ${ask.unit}`)
}

const keys = useTemplateRef<HTMLElement>('keys')
onMounted(() => keys.value?.focus())

function take(value: string) {
  const ask = now.value
  if (!ask) return
  if (ask.ask === 'request') {
    request.value = value as Request
    for (const name of Object.keys(answers)) answers[name] = undefined
  } else answers[ask.ask] = value
  go(at.value + 1)
}

function go(to: number) {
  at.value = to
  typed.value = ''
  void nextTick(() => keys.value?.focus())
}

/** What is asked or offered is not here yet: keys pressed meanwhile are taken when it is. */
const isWaiting = computed(
  () => !requests.value || (now.value?.by === 'offer' && (!isHeard.value || offers.value.length === 0)),
)
const ahead: string[] = []
watch(isWaiting, () => {
  while (!isWaiting.value && ahead.length > 0) press(ahead.shift()!)
})

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key !== 'Enter' && event.key !== 'Backspace' && event.key.length !== 1) return
  event.preventDefault()
  if (event.key === 'Backspace') ahead.length = 0
  if (isWaiting.value && event.key !== 'Backspace') ahead.push(event.key)
  else press(event.key)
}

function press(key: string) {
  const ask = now.value
  if (key === 'Enter') {
    if (!ask) return void bench()
    const given = typed.value || answers[ask.ask] || ask.usual
    if (given) take(given)
    else if (bookOf(ask)) go(at.value + 1)
  } else if (key === 'Backspace') {
    if (typed.value !== '') typed.value = typed.value.slice(0, -1)
    else if (at.value > 0) go(at.value - 1)
  } else if (ask && choicesOf(ask)) {
    const choice = choicesOf(ask)?.[Number(key) - 1]
    if (choice) take(choice.value)
  } else if (ask?.ask === 'from' && typed.value !== '' && (key === '+' || key === '-')) {
    // A place more or less is said by a sign.
    answers.from = typed.value
    answers.to = String(Number(typed.value) + (key === '+' ? 1 : -1))
    go(asks.value.length)
  } else if (ask) typed.value += key
}

/** Fingers are faster than the line: who asks for the bench before the last answer is here gets there when it is. */
const goes = ref(false)
watch([isWaiting, isHeard], () => {
  if (!goes.value || isWaiting.value || !isHeard.value) return
  goes.value = false
  if (isReady.value) void bench()
})

function bench() {
  if (!chosen.value) return
  if (isWaiting.value || !isHeard.value) return void (goes.value = true)
  const whole = sheetOf(chosen.value, answers, who, model.value?.edition)
  return act(async () => {
    const job = await takeIn(whole)
    draft.done()
    initials.value = job.takenInBy
    await router.push(`/jobs/${job.id}/${pathOf[job.planAgreed ? 'bench' : job.next]}`)
  })
}
watch(request, () => (error.value = null))
useActs(() => ({
  back: { says: 'Start', to: '/' },
  first: {
    says: 'To the bench',
    form: 'counter',
    busy: busy.value,
    off:
      isReady.value || !isHeard.value || isWaiting.value
        ? null
        : (answer.value?.whyNot ??
          (request.value ? 'Something is still asked.' : 'Say first what is asked for.')),
  },
}))
</script>

<template>
  <section class="counter">
    <h1>Counter</h1>
    <DraftLine v-if="draft.offered.value" :draft="draft" />
    <p v-else class="says">One key an answer; Enter takes the usual one, and at the end goes to the bench.</p>
    <div class="both">
      <!-- The keys go to the question that is marked. -->
      <div ref="keys" class="asks" tabindex="0" data-keys data-testid="keys" @keydown="onKey">
        <div
          v-for="(ask, i) in asks"
          :key="ask.ask"
          class="ask"
          :class="{ now: i === at }"
          :data-ask="ask.ask"
        >
          <button type="button" class="label" tabindex="-1" @click="go(i)">{{ ask.label }}</button>
          <template v-if="i === at">
            <span v-if="choicesOf(ask)" class="choices">
              <button
                v-for="(c, n) in choicesOf(ask)"
                :key="c.value"
                type="button"
                class="choice"
                :class="{ usual: c.value === ask.usual }"
                tabindex="-1"
                @click="take(c.value)"
              >
                <kbd>{{ n + 1 }}</kbd>
                <VerdictRing
                  v-if="c.offer"
                  :verdict="c.offer.verdict"
                  :certainty="c.offer.certainty"
                  bare
                  silent
                />{{ c.says }}
              </button>
              <span v-if="choicesOf(ask)?.length === 0" class="quiet">none yet</span>
            </span>
            <span v-else class="typing"
              ><span class="figure">{{ typed || answers[ask.ask] || ask.usual || '' }}</span
              ><span class="cursor" /> <span class="quiet">{{ ask.unit }}</span><span
                v-if="!typed && !answers[ask.ask] && bookOf(ask)"
                class="quiet"
                >; Enter: {{ bookOf(ask) }}</span
              ><span v-if="ask.ask === 'from'" class="quiet"
                >, then + or − for one place looser or tighter</span
              ></span
            >
          </template>
          <span v-else class="said">{{ answerTo(ask) }}</span>
        </div>
        <p v-if="at >= asks.length" class="ask now">Enter: to the bench</p>
        <RefusedLine :of="refused ?? wholeOf(error)" />
      </div>
      <form id="counter" class="who" @submit.prevent="bench()">
        <v-text-field
          v-model="who.client"
          density="compact"
          label="Client; empty for a walk-in"
          name="client"
          autocomplete="off"
        />
        <v-text-field
          v-model="who.watch"
          density="compact"
          label="Watch"
          name="watch"
          autocomplete="off"
          list="models-known"
        />
        <datalist id="models-known">
          <option v-for="m in models?.models ?? []" :key="m.id" :value="m.name">{{ m.says }}</option>
        </datalist>
        <v-text-field
          v-model="who.words"
          density="compact"
          label="In the owner’s words"
          name="words"
          autocomplete="off"
        />
        <ByField
          v-model="who.by"
          density="compact"
          label="Fitter’s initials"
          :errors="saidOf(error, '$.by')"
        />
        <label class="quiet"
          ><input
            v-model="who.wearer"
            type="checkbox"
            name="wearer"
            :true-value="false"
            :false-value="true"
          />
          nobody here to try it on</label
        >
      </form>
      <div class="answer" data-testid="answer">
        <template v-if="request && answer">
          <p v-if="answer.whyNot" class="quiet">{{ answer.whyNot }}</p>
          <p v-if="answer.says">{{ answer.says }}</p>
          <template v-if="answer.steps.length > 0">
            <h2>
              At the bench, about <span class="figure">{{ minutes }}</span>
              {{ minutes === 1 ? 'minute' : 'minutes' }}
            </h2>
            <ol>
              <li v-for="s in answer.steps" :key="s">{{ s }}</li>
            </ol>
          </template>
          <template v-else-if="offers.length > 0">
            <h2>What goes on</h2>
            <ul>
              <li v-for="o in offers" :key="o.id">
                <VerdictRing :verdict="o.verdict" :certainty="o.certainty" /> <strong>{{ o.name }}</strong>
                {{ o.article }}, <span class="figure">{{ o.free }}</span> here. {{ o.whyNot ?? o.says }}
              </li>
            </ul>
          </template>
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.counter {
  display: grid;
  grid-template-rows: auto auto;
  grid-auto-rows: minmax(0, 1fr);
  gap: 10px;
  padding: 18px 28px 10px;
  height: 100%;
}
h1 {
  font-size: 30px;
  font-weight: 600;
}
h2 {
  font-size: 18px;
  font-weight: 600;
}
.both {
  display: grid;
  grid-template-columns: minmax(360px, 5fr) minmax(0, 6fr);
  grid-template-areas: 'asks answer' 'who who';
  grid-template-rows: minmax(0, 1fr) auto;
  gap: 10px 32px;
  min-height: 0;
}
.asks {
  grid-area: asks;
  align-content: start;
  overflow-y: auto;
  display: grid;
  gap: 2px;
  outline: none;
}
.ask {
  display: grid;
  grid-template-columns: minmax(100px, 130px) minmax(0, 1fr);
  gap: 12px;
  align-items: start;
  min-height: 44px;
  padding: 0 10px;
  border-left: 4px solid transparent;
}
.ask.now {
  border-left-color: rgb(var(--v-theme-primary));
  background: rgb(var(--v-theme-steel), 0.2);
}
.label {
  min-height: 44px;
  text-align: left;
  font-weight: 600;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
}
.choice {
  min-height: 44px;
  text-align: left;
}
.choice.usual {
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
kbd + .verdict {
  margin-right: 4px;
}
kbd {
  margin-right: 4px;
  display: inline-block;
  min-width: 1.5em;
  text-align: center;
  border: 1px solid rgb(var(--v-theme-iron));
  border-radius: 3px;
  font-family: inherit;
  font-size: 14px;
}
.typing .figure {
  font-size: 22px;
}
.cursor {
  display: inline-block;
  width: 2px;
  height: 20px;
  margin: 0 6px 0 2px;
  background: rgb(var(--v-theme-primary));
  vertical-align: -3px;
}
.answer {
  grid-area: answer;
  display: grid;
  gap: 8px;
  align-content: start;
  overflow-y: auto;
}
ol,
ul {
  margin: 0;
  padding-left: 22px;
  display: grid;
  gap: 4px;
}
ul {
  list-style: none;
  padding-left: 0;
}
.who {
  grid-area: who;
  display: grid;
  grid-template-columns: 2fr 2fr 3fr minmax(130px, 1fr);
  gap: 4px 16px;
  align-items: end;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 8px;
}
@media (max-width: 960px) {
  .counter {
    height: auto;
  }
  .both {
    grid-template-areas: 'asks' 'who' 'answer';
    grid-template-rows: auto;
  }
  .both,
  .who {
    grid-template-columns: minmax(0, 1fr);
  }
}
/* On a phone a question stands over its answers. */
@media (max-width: 600px) {
  .ask {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
