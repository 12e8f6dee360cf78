<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef } from 'vue'
import { useMarks, usePhotos, useTakeInSheet } from '../../api/job'
import type { DamageKind, DamagePlace } from '../../api/shop'
import { wholeOf } from '../../api/refused'
import { useJobHere } from '../../job/here'
import PictureShapes from '../../drawing/PictureShapes.vue'
import { viewBoxOf } from '../../drawing/picture'
import { useReadable } from '../../drawing/readable'
import { kinds } from './condition'
import RefusedLine from '../../controls/RefusedLine.vue'

const { id, job } = useJobHere()
const sheet = useTakeInSheet(id)
const { mark, unmark } = useMarks(id)
const { addPhoto, dropPhoto } = usePhotos(id)
const open = computed(() => job.value.may.putRight.ok)
const kind = ref<DamageKind>('scratch')
const note = ref('')
/** The place taken from the list, where touching it is too fine. */
const where = ref<DamagePlace>()
// Photos whose file cannot be shown.
const broken = reactive(new Set<number>())
const picker = useTemplateRef<HTMLInputElement>('picker')
const refusal = computed(() =>
  wholeOf(mark.error.value ?? unmark.error.value ?? addPhoto.error.value ?? dropPhoto.error.value),
)

const drawn = useTemplateRef<SVGSVGElement>('drawn')
const { readable } = useReadable(drawn, () => sheet.data.value?.watch)
const places = computed(() => sheet.data.value?.places ?? [])
const marksAt = (place: DamagePlace) => sheet.data.value?.marks.filter((m) => m.place === place) ?? []
const titleOf = (place: DamagePlace) => places.value.find((p) => p.place === place)?.says ?? place
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
    <div v-if="open" class="row">
      <label class="where"
        >Where
        <select v-model="where" class="plain-field" name="markPlace">
          <option v-for="p in places" :key="p.place" :value="p.place">{{ p.says }}</option>
        </select></label
      >
      <v-btn variant="outlined" :disabled="!where" @click="where && put(where)">Mark it</v-btn>
    </div>
    <div class="split">
      <svg
        v-if="sheet.data.value"
        ref="drawn"
        :viewBox="viewBoxOf(sheet.data.value.watch)"
        role="group"
        aria-label="The watch, dial up, with its case back and clasp"
      >
        <g aria-hidden="true">
          <PictureShapes
            :shapes="sheet.data.value.watch.shapes"
            :words="readable(sheet.data.value.watch.words)"
          />
        </g>
        <rect
          v-for="p in places"
          :key="p.place"
          class="place"
          role="button"
          :tabindex="open ? 0 : -1"
          :aria-label="`${p.says}, ${marksAt(p.place).length} marks`"
          :x="p.x"
          :y="p.y"
          :width="p.width"
          :height="p.height"
          rx="0.8"
          @click="put(p.place)"
          @keydown.enter.prevent="put(p.place)"
          @keydown.space.prevent="put(p.place)"
        />
      </svg>
      <div class="lists">
        <p v-if="sheet.data.value?.marks.length === 0" class="quiet">No mark: as it should be.</p>
        <ol>
          <li v-for="(m, i) in sheet.data.value?.marks" :key="m.id">
            <span
              ><span class="figure">{{ i + 1 }}</span> <strong>{{ kindOf(m.kind) }}</strong>,
              {{ titleOf(m.place) }}{{ m.note ? `: ${m.note}` : '' }}</span
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
        </ol>
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
    <RefusedLine :of="refusal" />
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
.place {
  cursor: pointer;
  outline: none;
  fill: transparent;
  stroke: transparent;
}
.place:hover,
.place:focus-visible {
  stroke: rgb(var(--v-theme-primary));
  stroke-width: 0.4;
}
.lists {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: start;
}
ol {
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
