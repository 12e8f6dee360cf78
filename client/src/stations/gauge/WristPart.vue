<script setup lang="ts">
import { computed } from 'vue'
import type {
  CopyFields,
  GaugeSheet,
  LoopBy,
  Season,
  SurplusBy,
  SurplusOver,
  TryOnFields,
  WornAt,
  useGauge,
} from '../../api/gauge'
import type { WearPreference } from '../../api/shop'
import SheetField from '../../controls/SheetField.vue'
import WaysTable from './WaysTable.vue'
import { loopBys, seasons, surplusBys, surplusOvers, wears, wornAts } from './choices'
import type { Saving } from '../../controls/saving'

const props = defineProps<{
  sheet: GaugeSheet
  gauge: ReturnType<typeof useGauge>
  saving: Saving
  disabled: boolean
}>()

/** Each way to wear it, with what it leaves under the clasp on this wrist. */
const wearsHere = computed(() =>
  wears.map((wear) => {
    const gap = props.sheet.wearGaps.find((g) => g.wear === wear.value)?.text
    return { ...wear, props: gap ? { subtitle: gap } : {} }
  }),
)

function choose(field: 'wear' | 'wornAt' | 'season', value: string) {
  void props.saving.save(field, value, () => props.gauge.choose({ [field]: value }))
}
function tryOn(field: keyof TryOnFields, value: string) {
  void props.saving.save(`try-${field}`, value, () => props.gauge.tryOn({ [field]: value }), `$.${field}`)
}
function copy(field: keyof CopyFields, value: string) {
  void props.saving.save(`copy-${field}`, value, () => props.gauge.copy({ [field]: value }), `$.${field}`)
}

const amountLabel = computed(
  () => ({ millimetres: 'Surplus', linksPinched: 'Links', gap: 'Gap' })[props.sheet.tryOn.by],
)
const copied = [
  { field: 'loop', label: 'Its loop' },
  { field: 'barToBar', label: 'Its bar-to-bar' },
  { field: 'barRise', label: 'Its bar rise' },
  { field: 'thickness', label: 'Its thickness' },
] as const
</script>

<template>
  <div class="wrist">
    <div class="columns three">
      <v-select
        :model-value="sheet.wear"
        :items="wearsHere"
        :hint="sheet.wearGaps.find((g) => g.wear === sheet.wear)?.text"
        persistent-hint
        density="compact"
        label="Wear"
        data-field="wear"
        :disabled="disabled"
        @update:model-value="(v: WearPreference) => choose('wear', v)"
      />
      <v-select
        :model-value="sheet.wrist.wornAt"
        :items="wornAts"
        density="compact"
        label="Where"
        data-field="wornAt"
        :disabled="disabled"
        @update:model-value="(v: WornAt) => choose('wornAt', v)"
      />
      <v-select
        :model-value="sheet.wrist.season"
        :items="seasons"
        density="compact"
        label="Season"
        data-field="season"
        :disabled="disabled"
        @update:model-value="(v: Season) => choose('season', v)"
      />
    </div>
    <p class="quiet">
      Width over depth <span class="figure">{{ sheet.wrist.aspect.toFixed(2) }}</span>{{
        sheet.wrist.aspectAssumed ? ', assumed' : ', measured'
      }}.
    </p>

    <WaysTable :ways="sheet.ways" />

    <h2>Tried on</h2>
    <div class="columns tried">
      <v-select
        :model-value="sheet.tryOn.by"
        :items="surplusBys"
        density="compact"
        label="Judged by"
        data-field="tryBy"
        :disabled="disabled"
        @update:model-value="(v: SurplusBy) => tryOn('by', v)"
      />
      <SheetField
        :label="amountLabel"
        name="tryAmount"
        :stored="sheet.tryOn.amount"
        :errors="saving.refused['try-amount'] ?? []"
        :unsaved="saving.unsaved['try-amount']"
        :disabled="disabled"
        @typed="tryOn('amount', $event)"
      />
      <v-select
        :model-value="sheet.tryOn.over"
        :items="surplusOvers"
        density="compact"
        label="Surplus"
        data-field="tryOver"
        :disabled="disabled"
        @update:model-value="(v: SurplusOver) => tryOn('over', v)"
      />
    </div>
    <div class="columns three">
      <SheetField
        label="Size it was tried at"
        name="tryLoop"
        :stored="sheet.tryOn.loop"
        :hint="
          sheet.tryOn.loop === '' && sheet.tryOn.loopNow !== ''
            ? `${sheet.tryOn.loopNow} by the sheet`
            : undefined
        "
        :errors="saving.refused['try-loop'] ?? []"
        :unsaved="saving.unsaved['try-loop']"
        :disabled="disabled"
        @typed="tryOn('loop', $event)"
      />
      <SheetField
        v-if="sheet.tryOn.by === 'linksPinched'"
        label="Pitch of those links"
        name="tryPitch"
        :stored="sheet.tryOn.pitch"
        :hint="
          sheet.tryOn.pitch === '' && sheet.bracelet.fullPitchMm !== null
            ? `${sheet.bracelet.fullPitchMm} mm by the sheet`
            : undefined
        "
        :errors="saving.refused['try-pitch'] ?? []"
        :unsaved="saving.unsaved['try-pitch']"
        :disabled="disabled"
        @typed="tryOn('pitch', $event)"
      />
      <SheetField
        v-if="sheet.tryOn.by === 'gap'"
        label="Wedge’s width"
        name="tryWedge"
        :stored="sheet.tryOn.wedge"
        hint="a finger is about 14 mm"
        :errors="saving.refused['try-wedge'] ?? []"
        :unsaved="saving.unsaved['try-wedge']"
        :disabled="disabled"
        @typed="tryOn('wedge', $event)"
      />
      <SheetField
        label="Band’s thickness"
        name="tryThickness"
        :stored="sheet.tryOn.thickness"
        :errors="saving.refused['try-thickness'] ?? []"
        :unsaved="saving.unsaved['try-thickness']"
        :disabled="disabled"
        @typed="tryOn('thickness', $event)"
      />
    </div>

    <h2>Size of one that fits</h2>
    <div class="columns four">
      <v-select
        :model-value="sheet.copy.by"
        :items="loopBys"
        density="compact"
        label="How it is known"
        data-field="copyBy"
        :disabled="disabled"
        @update:model-value="(v: LoopBy) => copy('by', v)"
      />
      <SheetField
        v-for="c in copied"
        :key="c.field"
        :label="c.label"
        :name="`copy-${c.field}`"
        :stored="sheet.copy[c.field]"
        :errors="saving.refused[`copy-${c.field}`] ?? []"
        :unsaved="saving.unsaved[`copy-${c.field}`]"
        :disabled="disabled"
        @typed="copy(c.field, $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.wrist {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.columns {
  display: grid;
  gap: 0 16px;
  align-items: start;
}
.three {
  grid-template-columns: 1fr 1fr 1fr;
}
.tried {
  grid-template-columns: 3fr 2fr 3fr;
}
.four {
  grid-template-columns: repeat(4, 1fr);
}
.four > .v-select {
  grid-column: 1 / -1;
  max-width: 18rem;
}
h2 {
  font-size: 17px;
  font-weight: 600;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding-top: 6px;
}
</style>
