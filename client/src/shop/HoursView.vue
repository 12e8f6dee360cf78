<script setup lang="ts">
import { reactive, ref, watch } from 'vue'
import { useDoor } from '../api/door'
import { useMessages, useWorkHours, type WorkHours } from '../api/day'
import { saidOf } from '../api/refused'
import RefusedLine from '../controls/RefusedLine.vue'
import StoredInput from '../controls/StoredInput.vue'
import { useActs } from '../controls/acts'
import { useActing } from '../controls/acting'
import { requests } from '../job/requests'

/** The hours of the shop and of each fitter: a usual week in few keys, days off, what somebody does not do. */
const { hours, set } = useWorkHours()
const { busy, error, act } = useActing()
const isLead = useDoor().mayAs('lead')
interface Row {
  initials: string
  week: string
  off: string
  not: string[]
}
const typed = reactive<{ week: string; off: string; hands: Row[] }>({ week: '', off: '', hands: [] })
const says = ref('')
watch(
  () => hours.data.value,
  (now) => {
    if (!now) return
    typed.week = now.week
    typed.off = now.off.join(' ')
    typed.hands = now.hands.map((h) => ({ ...h, off: h.off.join(' '), not: [...h.not] }))
  },
  { immediate: true },
)
/** What is written to an owner who is rung, in the house's words. */
const { messages, set: setMessages } = useMessages()
const { error: unsaid, act: say } = useActing(200)
const rung = {
  workIsDone: 'The work is done',
  partsCame: 'Parts came in',
  consent: 'A consent is awaited',
  followUp: 'To be followed up',
}
const reword = (at: number, text: string) =>
  say(() =>
    setMessages({
      messages: (messages.data.value?.messages ?? []).map((m, i) => (i === at ? { ...m, text } : m)),
    }),
  )
const days = (text: string) => text.split(/[\s,]+/).filter(Boolean)
const body = (): WorkHours => ({
  week: typed.week,
  off: days(typed.off),
  hands: typed.hands
    .filter((h) => h.initials.trim() !== '')
    .map((h) => ({
      initials: h.initials,
      week: h.week,
      off: days(h.off),
      not: h.not as WorkHours['hands'][0]['not'],
    })),
})
function save() {
  void act(async () => {
    await set(body())
    says.value = 'Saved.'
  })
}
useActs(() => ({
  back: { says: 'Start', to: '/' },
  lesser: isLead.value
    ? [{ says: 'One more', press: () => typed.hands.push({ initials: '', week: '', off: '', not: [] }) }]
    : [],
  ...(isLead.value ? { first: { says: 'Save', form: 'hours', busy: busy.value } } : {}),
}))
</script>

<template>
  <div>
    <h1>Hours</h1>
    <p class="says">
      Promises and lists go by these. A week is written like
      <span class="figure">mo-fr 9-12:30 13-18, sa 9-13</span>; one left empty is the shop’s.
    </p>
    <form id="hours" @submit.prevent="save">
      <fieldset :disabled="!isLead">
        <legend>The shop</legend>
        <label
          >Usual week <input v-model="typed.week" class="plain-field" name="week" autocomplete="off"
        /></label>
        <label
          >Closed on
          <input
            v-model="typed.off"
            class="plain-field"
            name="off"
            autocomplete="off"
            placeholder="2026-12-24"
        /></label>
        <p v-for="e in saidOf(error, '$.week')" :key="e" class="refused" role="alert">{{ e }}</p>
      </fieldset>
      <fieldset v-for="(h, i) in typed.hands" :key="i" :disabled="!isLead">
        <legend>{{ h.initials || 'Somebody' }}</legend>
        <label
          >Initials
          <input
            v-model="h.initials"
            class="plain-field"
            :name="`initials-${i}`"
            autocomplete="off"
            maxlength="4"
        /></label>
        <label
          >Usual week <input v-model="h.week" class="plain-field" :name="`week-${i}`" autocomplete="off"
        /></label>
        <label
          >Days off <input v-model="h.off" class="plain-field" :name="`off-${i}`" autocomplete="off"
        /></label>
        <details>
          <summary>Does not do{{ h.not.length > 0 ? `: ${h.not.length}` : ': everything is done' }}</summary>
          <label v-for="r in requests" :key="r.value" class="tick"
            ><input v-model="h.not" type="checkbox" :value="r.value" :name="`not-${i}-${r.value}`" />
            {{ r.title }}</label
          >
        </details>
        <p
          v-for="e in [...saidOf(error, `$.hands[${i}].week`), ...saidOf(error, `$.hands[${i}].initials`)]"
          :key="e"
          class="refused"
          role="alert"
        >
          {{ e }}
        </p>
      </fieldset>
      <RefusedLine :of="error" beside-fields />
      <p v-if="says && !error" role="status" class="quiet">{{ says }}</p>
      <p v-if="!isLead" class="quiet">Hours are a manager’s.</p>
    </form>
    <section v-if="messages.data.value" class="messages">
      <h2>Messages</h2>
      <p class="quiet">
        To be copied from the list of who is rung; the program sends nothing. Places for
        <span class="figure">{client}</span>, <span class="figure">{watch}</span>,
        <span class="figure">{tag}</span> and <span class="figure">{what}</span>; left empty, the usual words.
      </p>
      <label v-for="(m, i) in messages.data.value.messages" :key="m.why"
        >{{ rung[m.why] }}
        <StoredInput
          class="plain-field"
          :name="`message-${m.why}`"
          :stored="m.text"
          :disabled="!isLead"
          @typed="reword(i, $event)"
        />
        <span v-for="e in saidOf(unsaid, `$.messages[${i}].text`)" :key="e" class="refused" role="alert">{{
          e
        }}</span></label
      >
    </section>
  </div>
</template>

<style scoped>
.messages {
  display: grid;
  gap: 8px;
  max-width: 900px;
  margin-top: 18px;
}
.messages input {
  width: 100%;
}
form {
  display: grid;
  gap: 10px;
  max-width: 900px;
  margin-top: 10px;
}
fieldset {
  border: 0;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: end;
}
legend {
  font-weight: 600;
}
label {
  display: grid;
  gap: 2px;
}
input[name^='week'],
input[name^='off'] {
  width: min(320px, 80vw);
}
input[name^='initials'] {
  width: 90px;
}
summary {
  min-height: 44px;
  display: flex;
  align-items: center;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
.refused {
  flex-basis: 100%;
}
</style>
