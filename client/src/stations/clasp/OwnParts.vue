<script setup lang="ts">
import { reactive } from 'vue'
import type { ClaspSheet, OwnPart, OwnPartKind, PartOffers } from '../../api/clasp'
import { price } from '../../controls/price'
import YesNo from '../../controls/YesNo.vue'
import { looks } from './words'

defineProps<{
  sheet: ClaspSheet
  disabled: boolean
  /** What suppliers offered, by the part it would replace. */
  offers: Partial<Record<OwnPartKind, PartOffers>>
}>()
const emit = defineEmits<{
  inspected: [
    part: { kind: OwnPartKind; straight: boolean; springy: boolean; unworn: boolean; came: boolean },
  ]
  forget: [kind: OwnPartKind]
  replacement: [kind: OwnPartKind, partId: number]
  ask: [kind: OwnPartKind]
  list: [article: string]
}>()
const points = ['straight', 'springy', 'unworn'] as const

/** Answers given so far; the part is inspected once all three are. */
const said = reactive<Partial<Record<OwnPartKind, Partial<Record<(typeof points)[number], boolean>>>>>({})
function say(part: OwnPart, point: (typeof points)[number], yes: boolean) {
  const now = (said[part.kind] = {
    straight: part.straight ?? undefined,
    springy: part.springy ?? undefined,
    unworn: part.unworn ?? undefined,
    ...said[part.kind],
    [point]: yes,
  } as Partial<Record<(typeof points)[number], boolean>>)
  if (points.every((p) => now[p] !== undefined))
    emit('inspected', {
      kind: part.kind,
      came: true,
      straight: now.straight!,
      springy: now.springy!,
      unworn: now.unworn!,
    })
}
const answer = (part: OwnPart, point: (typeof points)[number]) => said[part.kind]?.[point] ?? part[point]
const word = (yes: boolean | null | undefined) => (yes === true ? 'yes' : yes === false ? 'no' : null)
function missing(kind: OwnPartKind) {
  delete said[kind]
  emit('inspected', { kind, straight: false, springy: false, unworn: false, came: false })
}
function forget(kind: OwnPartKind) {
  delete said[kind]
  emit('forget', kind)
}
</script>

<template>
  <div class="parts">
    <p class="quiet">An own part is used again only when it is straight, springy and unworn.</p>
    <section v-for="part in sheet.ownParts" :key="part.kind" :data-part="part.kind">
      <div class="ask">
        <h2>{{ part.name }}</h2>
        <button
          v-if="part.kind !== 'clasp'"
          type="button"
          :disabled="disabled"
          :aria-pressed="part.came === false"
          :data-answer="`${part.kind}-none`"
          @click="missing(part.kind)"
        >
          none came
        </button>
      </div>
      <YesNo
        v-for="point in points"
        :key="point"
        :asks="looks[part.kind][point]"
        :name="`${part.kind}-${point}`"
        :answer="word(answer(part, point))"
        :disabled="disabled"
        @answered="say(part, point, $event === 'yes')"
      />
      <p v-if="part.says" class="says-so">
        <strong>{{ part.says }}</strong>
        <button v-if="!disabled" type="button" class="plain" @click="forget(part.kind)">Take back</button>
      </p>
      <template v-if="part.says && !part.reused && part.kind !== 'clasp'">
        <p v-if="part.replacement">
          Instead: {{ part.replacement.name }}, {{ part.replacement.article }},
          <span class="figure">{{ part.replacement.count }}</span>
          {{ part.replacement.reserved ? 'reserved' : 'to be ordered' }}.
        </p>
        <p v-if="part.choices.length === 0" class="quiet">Nothing on the list replaces it.</p>
        <label v-else-if="!disabled" class="instead">
          Replace by
          <select
            :name="`replace-${part.kind}`"
            :value="part.replacement?.partId ?? ''"
            @change="emit('replacement', part.kind, Number(($event.target as HTMLSelectElement).value))"
          >
            <option value="" disabled>…</option>
            <option v-for="c in part.choices" :key="c.id" :value="c.id">
              {{ c.article }}: {{ c.measured }}, {{ c.free }} free
            </option>
          </select>
        </label>
        <button v-if="!disabled" type="button" class="plain" @click="emit('ask', part.kind)">
          Ask the suppliers
        </button>
        <template v-if="offers[part.kind]">
          <p v-if="offers[part.kind]!.trouble" role="alert">{{ offers[part.kind]!.trouble }}</p>
          <p v-else class="quiet">
            Asked for {{ offers[part.kind]!.wish
            }}{{ offers[part.kind]!.offers.length === 0 ? '; nobody has such' : '' }}.
          </p>
          <ul>
            <li v-for="o in offers[part.kind]!.offers.slice(0, 4)" :key="o.article">
              {{ o.article }}: {{ o.measured }}, <span class="figure">{{ price(o.priceCents) }}</span>
              <button type="button" class="plain" @click="emit('list', o.article)">Put on the list</button>
            </li>
          </ul>
        </template>
      </template>
      <p v-else-if="part.says && !part.reused" class="quiet">Choose another clasp under Choose.</p>
    </section>
  </div>
</template>

<style scoped>
.parts {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
section {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 6px;
}
h2 {
  font-size: 18px;
}
h2::first-letter {
  text-transform: uppercase;
}
.ask {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 44px;
}
.ask h2 {
  flex: 1;
}
.ask button {
  min-height: 44px;
  min-width: 56px;
  border: 1px solid rgb(var(--v-theme-hairline));
}
.ask button[aria-pressed='true'] {
  border: 2px solid rgb(var(--v-theme-primary));
  font-weight: 600;
}
select {
  min-height: 44px;
  max-width: 100%;
  padding: 0 6px;
  border: 1px solid rgb(var(--v-theme-hairline));
  border-radius: 2px;
  color: inherit;
  background: rgb(var(--v-theme-background));
}
</style>
