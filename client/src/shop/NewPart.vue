<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useParts, type PartKind, type PartSheet } from '../api/parts'
import { saidOf } from '../api/refused'
import type { ClaspKind } from '../api/clasp'
import { claspKinds, partKinds } from './words'
import DraftLine from '../controls/DraftLine.vue'
import RefusedLine from '../controls/RefusedLine.vue'
import { useDraft } from '../controls/drafts'

const emit = defineEmits<{ done: [] }>()
const { set } = useParts()
const error = ref<unknown>(null)
const kind = ref<PartKind>('clasp')
const clasp = ref<ClaspKind>('foldOver')
const style = ref<PartSheet['style']>('plain')
const typed = reactive<Record<string, string>>({ positions: '1' })

const draft = useDraft(
  'new part',
  () => ({ kind: kind.value, clasp: clasp.value, style: style.value, typed: { ...typed } }),
  (kept) => {
    kind.value = kept.kind
    clasp.value = kept.clasp
    style.value = kept.style
    Object.assign(typed, kept.typed)
  },
)

interface Field {
  name: string
  label: string
}
const always: Field[] = [
  { name: 'article', label: 'Article' },
  { name: 'name', label: 'What it is called' },
  { name: 'supplier', label: 'Supplier' },
  { name: 'supplierArticle', label: 'Their article' },
  { name: 'place', label: 'Place' },
  { name: 'minimum', label: 'Least to keep' },
  { name: 'price', label: 'Price' },
]
/** The fields that tell this kind of part. */
const fields = computed<Field[]>(() => {
  if (kind.value === 'bar')
    return [
      { name: 'length', label: 'Length' },
      { name: 'diameter', label: 'Body' },
      { name: 'tip', label: 'Tip' },
    ]
  if (kind.value === 'pin')
    return [
      { name: 'diameter', label: 'Diameter' },
      { name: 'length', label: 'Length' },
    ]
  if (kind.value === 'link')
    return [
      { name: 'pitch', label: 'Pitch' },
      { name: 'width', label: 'Width' },
    ]
  const looks = [
    { name: 'finish', label: 'Finish' },
    { name: 'colour', label: 'Colour' },
  ]
  const halves = [
    { name: 'twelve', label: '12 side to centre' },
    { name: 'six', label: 'Centre to 6 side' },
    { name: 'positions', label: 'Micro positions' },
    { name: 'step', label: 'Hole spacing' },
  ]
  if (clasp.value === 'butterfly')
    return [
      { name: 'tube', label: 'End tube' },
      { name: 'overButtons', label: 'Over buttons' },
      ...halves.slice(0, 2),
      ...looks,
    ]
  const inner = { name: 'inner', label: 'Inside width' }
  if (clasp.value === 'pinBuckle' || clasp.value === 'strapFolding')
    return [
      inner,
      { name: 'throat', label: 'Throat' },
      { name: 'bar', label: 'Bar' },
      ...(clasp.value === 'strapFolding' ? [{ name: 'adds', label: 'Adds to the loop' }] : []),
      ...looks,
    ]
  return clasp.value === 'slide'
    ? [inner, ...looks]
    : [inner, { name: 'bar', label: 'Bar' }, ...halves, ...looks]
})

async function put() {
  const { minimum, positions, article, name, ...rest } = typed
  try {
    await set({
      ...rest,
      article: article ?? '',
      name: name ?? '',
      kind: kind.value,
      ...(kind.value === 'clasp' && { clasp: clasp.value }),
      style: style.value,
      minimum: Math.trunc(Number(minimum ?? 0)) || 0,
      positions: Math.trunc(Number(positions ?? 1)) || 1,
    } as PartSheet)
    error.value = null
    draft.done()
    emit('done')
  } catch (refusal) {
    error.value = refusal
  }
}
</script>

<template>
  <form id="new-part" class="new" @submit.prevent="put">
    <DraftLine :draft="draft" />
    <label>
      It is a
      <select v-model="kind" name="newPartKind">
        <option v-for="k in partKinds" :key="k.value" :value="k.value">{{ k.title }}</option>
      </select>
    </label>
    <label v-if="kind === 'clasp'">
      of the kind
      <select v-model="clasp" name="newClaspKind">
        <option v-for="k in claspKinds" :key="k.value" :value="k.value">{{ k.title }}</option>
      </select>
    </label>
    <label v-if="kind === 'bar'">
      held
      <select v-model="style" name="newBarStyle">
        <option value="plain">plain</option>
        <option value="flanged">flanged</option>
        <option value="quickRelease">with a lever</option>
        <option value="screwed">screwed</option>
      </select>
    </label>
    <div class="fields">
      <v-text-field
        v-for="f in [...always, ...fields]"
        :key="f.name"
        v-model="typed[f.name]"
        density="compact"
        :label="f.label"
        :name="f.name"
        autocomplete="off"
        :error-messages="saidOf(error, `$.${f.name}`)"
      />
    </div>
    <p class="quiet">Its count begins at nought; count the stock, or order it.</p>
    <RefusedLine :of="error" beside-fields />
  </form>
</template>

<style scoped>
.new {
  max-width: 1010px;
  border-block: 1px solid rgb(var(--v-theme-hairline));
  padding: 8px 0 12px;
  margin-bottom: 10px;
}
.new > label {
  margin-right: 14px;
}
.fields {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px 18px;
}
select {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  font-size: 16px;
  color: inherit;
  background: rgb(var(--v-theme-background));
}
@media (max-width: 800px) {
  .fields {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
