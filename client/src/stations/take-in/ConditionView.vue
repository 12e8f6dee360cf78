<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef } from 'vue'
import { useTakeInSheet, type DamageKind, type DamagePlace, type Job } from '../../api/shop'
import { wholeOf } from '../../api/refused'
import { kinds, places } from './condition'

const props = defineProps<{ job: Job }>()
const { sheet, mark, unmark, addPhoto, dropPhoto } = useTakeInSheet(() => props.job.id)
const open = computed(() => props.job.may.putRight.ok)
const kind = ref<DamageKind>('scratch')
const note = ref('')
// Photos whose file cannot be shown.
const broken = reactive(new Set<number>())
const picker = useTemplateRef<HTMLInputElement>('picker')
const refusal = computed(() =>
  wholeOf(mark.error.value ?? unmark.error.value ?? addPhoto.error.value ?? dropPhoto.error.value),
)

const marksAt = (place: DamagePlace) => sheet.data.value?.marks.filter((m) => m.place === place) ?? []
const titleOf = (place: DamagePlace) => places.find((p) => p.place === place)?.title ?? place
const kindOf = (of: DamageKind) => kinds.find((k) => k.value === of)?.title ?? of

function put(place: DamagePlace) {
  if (!open.value) return
  mark.mutate({ place, kind: kind.value, note: note.value }, { onSuccess: () => (note.value = '') })
}

function pick() {
  for (const file of picker.value?.files ?? []) addPhoto.mutate(file)
  if (picker.value) picker.value.value = ''
}
</script>

<template>
  <div class="condition">
    <p>
      <strong>Condition on arrival.</strong>
      <span v-if="open"> Say what, then touch where.</span>
    </p>
    <div v-if="open" class="kinds" role="radiogroup" aria-label="What is seen">
      <button
        v-for="k in kinds"
        :key="k.value"
        type="button"
        role="radio"
        :aria-checked="kind === k.value"
        @click="kind = k.value"
      >
        {{ k.title }}
      </button>
    </div>
    <v-text-field
      v-if="open"
      v-model="note"
      density="compact"
      label="Note to the next mark"
      name="markNote"
      autocomplete="off"
    />
    <div class="split">
      <svg viewBox="14 0 126 128" role="group" aria-label="The watch, dial up, with its case back and clasp">
        <g class="outline" aria-hidden="true">
          <path d="M36 30 V2 H64 V30 M36 98 V126 H64 V98" />
          <circle cx="50" cy="64" r="33" />
          <circle cx="50" cy="64" r="22" />
          <path d="M83 58 h7 v12 h-7" />
          <path
            d="M27 40.5 V22 H35 V34.6 M73 40.5 V22 H65 V34.6 M27 87.5 V106 H35 V93.4 M73 87.5 V106 H65 V93.4"
          />
          <circle cx="121" cy="43" r="15" />
          <rect x="104" y="84" width="34" height="18" rx="2" />
          <text x="121" y="66">back</text>
          <text x="121" y="110">clasp</text>
          <text x="50" y="49">12</text>
          <text x="50" y="83">6</text>
        </g>
        <g
          v-for="p in places"
          :key="p.place"
          class="place"
          :class="{ marked: marksAt(p.place).length > 0 }"
          role="button"
          :tabindex="open ? 0 : -1"
          :aria-label="`${p.title}, ${marksAt(p.place).length} marks`"
          @click="put(p.place)"
          @keydown.enter.prevent="put(p.place)"
          @keydown.space.prevent="put(p.place)"
        >
          <rect :x="p.x" :y="p.y" :width="p.width" :height="p.height" rx="2" />
          <template v-if="marksAt(p.place).length > 0">
            <circle :cx="p.x + p.width / 2" :cy="p.y + p.height / 2" r="4.6" />
            <text :x="p.x + p.width / 2" :y="p.y + p.height / 2 + 1.9">{{ marksAt(p.place).length }}</text>
          </template>
        </g>
      </svg>
      <div class="lists">
        <p v-if="sheet.data.value?.marks.length === 0" class="quiet">No mark: as it should be.</p>
        <ul>
          <li v-for="m in sheet.data.value?.marks" :key="m.id">
            <span
              ><strong>{{ kindOf(m.kind) }}</strong
              >, {{ titleOf(m.place) }}{{ m.note ? `: ${m.note}` : '' }}</span
            >
            <button
              v-if="open"
              type="button"
              class="drop"
              :aria-label="`Take away ${kindOf(m.kind)}, ${titleOf(m.place)}`"
              @click="unmark.mutate(m.id)"
            >
              ×
            </button>
          </li>
        </ul>
        <div class="photos">
          <figure v-for="p in sheet.data.value?.photos" :key="p.id">
            <p v-if="broken.has(p.id)" class="broken">
              Photo {{ p.id }} is damaged or missing, and no backup has it. All else of the job is here. A
              copy of the shop’s folder may have it as photos/{{ p.id }}.
            </p>
            <a v-else :href="p.href" target="_blank"
              ><img :src="p.thumbnailHref" :alt="`Photo ${p.id} of this watch`" @error="broken.add(p.id)"
            /></a>
            <button
              v-if="open"
              type="button"
              class="drop"
              :aria-label="`Take away photo ${p.id}`"
              @click="dropPhoto.mutate(p.id)"
            >
              ×
            </button>
          </figure>
        </div>
        <template v-if="open">
          <input
            ref="picker"
            class="picker"
            type="file"
            name="photo"
            accept="image/png,image/jpeg"
            multiple
            aria-label="Photo files"
            @change="pick"
          />
          <v-btn variant="outlined" :loading="addPhoto.isPending.value" @click="picker?.click()"
            >Add photos</v-btn
          >
        </template>
      </div>
    </div>
    <p v-if="refusal" class="refused" role="alert">{{ refusal }}</p>
  </div>
</template>

<style scoped>
.condition {
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
  overflow-y: auto;
}
.condition :deep(.v-text-field) {
  flex: none;
}
.kinds button,
.drop {
  background: none;
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.kinds button {
  min-height: 44px;
  padding: 0 12px;
  border: 1px solid rgb(var(--v-theme-iron));
  border-radius: 2px;
}
.condition .kinds button[aria-checked='true'] {
  background: rgb(var(--v-theme-primary));
  color: rgb(var(--v-theme-on-primary));
  border-color: rgb(var(--v-theme-primary));
}
.split {
  display: grid;
  grid-template-columns: minmax(0, 5fr) minmax(0, 4fr);
  gap: 16px;
}
svg {
  width: 100%;
  max-height: 400px;
}
.outline path,
.outline circle,
.outline rect {
  fill: none;
  stroke: rgb(var(--v-theme-on-surface));
  stroke-width: 0.7;
}
.outline text {
  font: 600 5px var(--label);
  text-anchor: middle;
  fill: rgb(var(--v-theme-iron));
}
.place {
  cursor: pointer;
  outline: none;
}
.place rect {
  fill: transparent;
  stroke: transparent;
}
.place:hover rect,
.place:focus-visible rect {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 1;
}
.place circle {
  fill: rgb(var(--v-theme-on-surface));
}
.place text {
  font: 600 5.4px var(--figure);
  text-anchor: middle;
  fill: rgb(var(--v-theme-background));
}
.lists {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: start;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}

.drop {
  border: 0;
  min-width: 44px;
  min-height: 44px;
  font-size: 22px;
}
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.broken {
  margin: 0;
  padding-left: 10px;
  border-left: 3px solid rgb(var(--v-theme-error));
  font-size: 15px;
}
figure {
  margin: 0;
  display: flex;
  align-items: start;
}
img {
  max-width: 110px;
  max-height: 90px;
  display: block;
}
.picker {
  position: absolute;
  width: 1px;
  height: 1px;
  opacity: 0;
}
</style>
