<script setup lang="ts">
import { reactive, useTemplateRef } from 'vue'
import { usePhotos } from '../api/job'
import { useBench, type Note } from '../api/bench'
import { saidOf, wholeOf } from '../api/refused'
import { useActing } from '../controls/acting'
import DraftLine from '../controls/DraftLine.vue'
import RefusedLine from '../controls/RefusedLine.vue'
import { useDraft } from '../controls/drafts'

const props = defineProps<{ jobId: number; notes: Note[]; open: boolean; adds?: boolean; title: string }>()
const { note, answer } = useBench(() => props.jobId, false)
const { addPhoto } = usePhotos(() => props.jobId)
const typed = reactive({ note: '', unsettled: false, kind: 'note' as Note['kind'] })
const kinds: { value: Note['kind']; title: string }[] = [
  { value: 'note', title: 'Note' },
  { value: 'alsoDone', title: 'Also done' },
  { value: 'alsoFound', title: 'Also found' },
  { value: 'formerMark', title: 'Mark of a former repair' },
  { value: 'houseMark', title: 'Our mark' },
]
const kindOf = (n: Note) =>
  n.kind === 'note' ? '' : `${kinds.find((k) => k.value === n.kind)?.title ?? ''}: `
const answers = reactive<Record<number, string>>({})
const { busy, error, act } = useActing()
const picker = useTemplateRef<HTMLInputElement>('picker')

const add = () =>
  act(async () => {
    const file = picker.value?.files?.[0]
    const photo = file ? (await addPhoto.mutateAsync(file)).photos.at(-1)?.id : undefined
    await note({ note: typed.note, settled: !typed.unsettled, photoId: photo ?? null, kind: typed.kind })
    draft.done()
    typed.note = ''
    typed.unsettled = false
    typed.kind = 'note'
    if (picker.value) picker.value.value = ''
  })
const draft = useDraft(
  `note of ${props.jobId}`,
  () => ({ ...typed }),
  (kept) => Object.assign(typed, kept),
)
const say = (to: Note) => act(() => answer(to.id, answers[to.id] ?? ''))
</script>

<template>
  <section v-if="notes.length > 0 || adds" class="notes">
    <h2 v-if="notes.length > 0">{{ title }}</h2>
    <ul>
      <li v-for="n in notes" :key="n.id" :data-note="n.id">
        <span>
          <strong>{{ kindOf(n) }}{{ n.note }}</strong>
          <span class="quiet">at “{{ n.step }}” ({{ n.by }})</span>
          <a v-if="n.photoHref" :href="n.photoHref" target="_blank" rel="noopener">
            <img :src="`${n.photoHref}/thumbnail`" alt="The photo taken there" />
          </a>
          <template v-if="n.answer"> {{ n.answer }}</template>
        </span>
        <form v-if="n.open && open" @submit.prevent="say(n)">
          <input
            v-model="answers[n.id]"
            class="plain-field"
            :name="`answer-${n.id}`"
            placeholder="What was done or said"
            :aria-label="`Answer to ${n.note}`"
            autocomplete="off"
          />
          <v-btn type="submit" variant="outlined" size="small">Save</v-btn>
        </form>
      </li>
    </ul>
    <details v-if="adds && open">
      <summary>Note or photo at this step</summary>
      <form @submit.prevent="add">
        <DraftLine :draft="draft" />
        <select v-model="typed.kind" class="plain-field" name="noteKind" aria-label="What it is">
          <option v-for="k in kinds" :key="k.value" :value="k.value">{{ k.title }}</option>
        </select>
        <v-text-field
          v-model="typed.note"
          density="compact"
          label="Note"
          name="stepNote"
          autocomplete="off"
          :error-messages="saidOf(error, '$.note')"
        />
        <label class="choice"
          ><input v-model="typed.unsettled" type="checkbox" name="unsettled" /> a problem: answer it before it
          goes back</label
        >
        <input
          ref="picker"
          type="file"
          accept="image/png,image/jpeg"
          name="stepPhoto"
          aria-label="Photo with it"
        />
        <v-btn type="submit" variant="outlined" :disabled="busy">Keep the note</v-btn>
      </form>
    </details>
    <RefusedLine v-if="wholeOf(error) && !saidOf(error, '$.note').length" :of="error" />
  </section>
</template>

<style scoped>
.notes {
  padding-top: 6px;
}
h2 {
  font-size: 17px;
  font-weight: 600;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0;
}
img {
  height: 56px;
  vertical-align: middle;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
}
form .plain-field {
  flex: 1 1 180px;
}
summary {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  text-decoration: underline;
  cursor: pointer;
}
.choice {
  display: inline-flex;
  gap: 8px;
  align-items: center;
  min-height: 44px;
}
</style>
