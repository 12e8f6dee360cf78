<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { saidOf } from '../api/refused'
import { useTools, type NewTool, type Tool, type ToolKind } from '../api/tools'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'
import DraftLine from '../controls/DraftLine.vue'
import { useDraft } from '../controls/drafts'

const { tools: wall, add, change, remove } = useTools()
const tools = wall()
const error = ref<unknown>(null)
const kinds: { value: ToolKind; title: string; across?: string; width?: string }[] = [
  { value: 'punch', title: 'Punch or tip', across: 'Diameter' },
  { value: 'blade', title: 'Blade', across: 'Thickness', width: 'Width' },
  { value: 'fork', title: 'Fork', across: 'Thickness', width: 'Mouth' },
  { value: 'block', title: 'Block' },
  { value: 'press', title: 'Press' },
  { value: 'pusher', title: 'Pusher' },
  { value: 'hammer', title: 'Hammer' },
  { value: 'pliers', title: 'Pliers' },
  { value: 'hollowEnd', title: 'Hollow end' },
  { value: 'handDrill', title: 'Hand drill' },
  { value: 'holder', title: 'Holder' },
  { value: 'tweezers', title: 'Tweezers' },
  { value: 'point', title: 'Fine point' },
]
const fresh = reactive<NewTool>({
  kind: 'punch',
  name: 'punch',
  across: '',
  width: '',
  spares: 0,
  wanted: false,
})
const draft = useDraft(
  'tools',
  () => ({ ...fresh }),
  (kept) => Object.assign(fresh, kept),
)
const kind = computed(() => kinds.find((k) => k.value === fresh.kind)!)
const hung = computed(() => tools.data.value?.filter((t) => !t.wanted) ?? [])
const wanted = computed(() => tools.data.value?.filter((t) => t.wanted) ?? [])
const groups = computed(() =>
  kinds
    .map((k) => ({ ...k, tools: hung.value.filter((t) => t.kind === k.value) }))
    .filter((k) => k.tools.length > 0),
)

async function act(what: () => Promise<unknown>) {
  try {
    await what()
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
}
function chosen(value: ToolKind) {
  fresh.kind = value
  fresh.name = kinds
    .find((k) => k.value === value)!
    .title.split(' or ')[0]!
    .toLowerCase()
  fresh.across = fresh.width = ''
}
const put = (isWanted: boolean) =>
  act(async () => {
    await add({
      ...fresh,
      across: kind.value.across ? (fresh.across ?? '') : '',
      width: kind.value.width ? (fresh.width ?? '') : '',
      wanted: isWanted,
    })
    draft.done()
  })
const spare = (tool: Tool, by: number) =>
  act(() => change(tool.id, { spares: tool.spares + by, wanted: tool.wanted }))
useActs(() => ({ back: { says: 'Start', to: '/' }, first: { says: 'Put it on the wall', form: 'tools' } }))
</script>

<template>
  <div>
    <h1>The tool wall</h1>
    <p class="says">
      A bench step names the tool that hangs here: the thickest punch that is thinner than its pin, the widest
      blade that fills the slot, the fork that enters the gap.
    </p>
    <form id="tools" @submit.prevent="put(false)">
      <label>
        <span class="quiet">Tool</span>
        <select
          class="plain-field"
          name="kind"
          :value="fresh.kind"
          @change="chosen(($event.target as HTMLSelectElement).value as ToolKind)"
        >
          <option v-for="k in kinds" :key="k.value" :value="k.value">{{ k.title }}</option>
        </select>
      </label>
      <v-text-field
        v-model="fresh.name"
        density="compact"
        label="Called"
        name="name"
        autocomplete="off"
        :error-messages="saidOf(error, '$.name')"
      />
      <v-text-field
        v-if="kind.across"
        v-model="fresh.across"
        density="compact"
        :label="kind.across"
        name="across"
        autocomplete="off"
        :error-messages="saidOf(error, '$.across')"
      />
      <v-text-field
        v-if="kind.width"
        v-model="fresh.width"
        density="compact"
        :label="kind.width"
        name="width"
        autocomplete="off"
        :error-messages="saidOf(error, '$.width')"
      />
      <v-btn variant="outlined" @click="put(true)">Put it on the list</v-btn>
    </form>
    <DraftLine :draft="draft" />
    <RefusedLine :of="error" beside-fields />
    <section v-if="wanted.length > 0" data-testid="wanted">
      <h2>On the list</h2>
      <ul>
        <li v-for="t in wanted" :key="t.id">
          <span>{{ t.says }}</span>
          <button
            type="button"
            class="plain"
            @click="act(() => change(t.id, { spares: t.spares, wanted: false }))"
          >
            It hangs here now
          </button>
          <button
            type="button"
            class="plain"
            :aria-label="`Strike ${t.says}`"
            @click="act(() => remove(t.id))"
          >
            Strike
          </button>
        </li>
      </ul>
    </section>
    <div class="wall">
      <section v-for="k in groups" :key="k.value" :data-kind="k.value">
        <h2>{{ k.title }} <span class="quiet">and spares</span></h2>
        <ul>
          <li v-for="t in k.tools" :key="t.id">
            <span class="name">{{ t.says }}</span>
            <span class="spares">
              <button
                type="button"
                :disabled="t.spares === 0"
                :aria-label="`One spare of ${t.says} fewer`"
                @click="spare(t, -1)"
              >
                −
              </button>
              <span class="figure" :title="`${t.spares} spare`">{{ t.spares }}</span>
              <button type="button" :aria-label="`One spare of ${t.says} more`" @click="spare(t, 1)">
                +
              </button>
              <button
                type="button"
                class="plain"
                :aria-label="`Take down ${t.says}`"
                @click="act(() => remove(t.id))"
              >
                Take down
              </button>
            </span>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
h2 {
  font-size: 17px;
  font-weight: 600;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  max-width: 980px;
  margin: 10px 0;
}
form .v-text-field {
  flex: 0 1 150px;
}
form label {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.wall {
  columns: 3 300px;
  column-gap: 28px;
}
.wall section {
  break-inside: avoid;
  margin-bottom: 12px;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  min-height: 44px;
}
.name {
  flex: 1 1 120px;
}
.spares {
  display: inline-flex;
  align-items: center;
  gap: 4px;
}
.spares button:not(.plain) {
  min-width: 44px;
  min-height: 44px;
}
</style>
