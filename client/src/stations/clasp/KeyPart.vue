<script setup lang="ts">
import { computed, ref } from 'vue'
import { useClaspKey, type ClaspKind, type ClaspQuestion, type ClaspSheet } from '../../api/clasp'
import ClaspPicture from './ClaspPicture.vue'

const props = defineProps<{ sheet: ClaspSheet; disabled: boolean }>()
const emit = defineEmits<{ seen: [kind: ClaspKind] }>()
const { data: key } = useClaspKey()

/** What a yes looks like. */
const looksLike: Record<ClaspQuestion, ClaspKind> = {
  folds: 'foldOver',
  tongue: 'pinBuckle',
  flap: 'slide',
  buttons: 'butterfly',
  strapEnd: 'strapFolding',
  secondFold: 'extending',
}
/** The questions answered so far; none while the key is not asked. */
const asked = ref<ClaspQuestion[]>([])
const unknown = ref(false)
const step = computed(() => key.value?.steps.find((s) => s.question === asked.value.at(-1)))
const nameOf = (kind: ClaspKind) => key.value?.kinds.find((k) => k.kind === kind)?.name ?? kind

function begin() {
  unknown.value = false
  asked.value = key.value ? [key.value.steps[0]!.question] : []
}
function answer(yes: boolean) {
  const now = step.value
  if (!now) return
  const next = yes ? now.yesAsks : now.noAsks
  const kind = yes ? now.yesIs : now.noIs
  if (next) asked.value.push(next)
  else {
    asked.value = []
    unknown.value = kind === null || kind === undefined
    if (kind) emit('seen', kind)
  }
}
</script>

<template>
  <section v-if="key" class="key">
    <template v-if="step">
      <h2 aria-live="polite">{{ step.asks }}</h2>
      <figure>
        <ClaspPicture :kind="looksLike[step.question]" />
        <figcaption class="quiet">Yes looks like this.</figcaption>
      </figure>
      <div class="acts">
        <v-btn variant="outlined" @click="answer(true)">Yes</v-btn>
        <v-btn variant="outlined" @click="answer(false)">No</v-btn>
        <v-btn v-if="asked.length > 1" variant="text" @click="asked.pop()">Back</v-btn>
      </div>
    </template>
    <template v-else>
      <p v-if="unknown" role="alert">
        None of these: keep it as it is, or refer it. Measure the band’s end all the same.
      </p>
      <div v-if="props.sheet.kind" class="known">
        <ClaspPicture :kind="props.sheet.kind" />
        <div>
          <h2 data-testid="clasp-kind">{{ props.sheet.kindName }}</h2>
          <p class="quiet">
            {{ props.sheet.seen.kind ? 'As seen.' : 'By its name; look at it to be sure.' }}
          </p>
        </div>
      </div>
      <div v-if="!disabled" class="acts">
        <v-btn
          :color="props.sheet.seen.kind ? undefined : 'primary'"
          :variant="props.sheet.seen.kind ? 'outlined' : 'flat'"
          @click="begin"
        >
          {{ props.sheet.seen.kind ? 'Look again' : 'What clasp is it?' }}
        </v-btn>
        <label>
          or it is a
          <select
            name="claspKind"
            :value="props.sheet.seen.kind ?? ''"
            @change="emit('seen', ($event.target as HTMLSelectElement).value as ClaspKind)"
          >
            <option value="" disabled>…</option>
            <option v-for="k in key.kinds" :key="k.kind" :value="k.kind">{{ nameOf(k.kind) }}</option>
          </select>
        </label>
      </div>
    </template>
  </section>
</template>

<style scoped>
.key {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
h2 {
  font-size: 20px;
}
h2::first-letter {
  text-transform: uppercase;
}
figure {
  margin: 0;
}
.known {
  display: grid;
  grid-template-columns: 150px 1fr;
  gap: 16px;
  align-items: center;
}
select {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  color: inherit;
  background: rgb(var(--v-theme-background));
  font-size: 16px;
}
</style>
