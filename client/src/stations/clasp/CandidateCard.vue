<script setup lang="ts">
import { ref } from 'vue'
import type { ClaspCandidate } from '../../api/clasp'
import VerdictRing from '../VerdictRing.vue'
import WorkList from '../WorkList.vue'
import { price } from '../../controls/price'
import { ruleNames } from './words'
import RefusedLine from '../../controls/RefusedLine.vue'

defineProps<{ candidate: ClaspCandidate; open: boolean; refusal: string | null }>()
const emit = defineEmits<{ choose: [signedBy: string]; list: [] }>()
const whole = ref(false)
const signedBy = ref('')
</script>

<template>
  <li
    class="card"
    :data-article="candidate.article"
    :class="{ chosen: candidate.chosen, no: candidate.verdict === 'no' }"
  >
    <div class="top">
      <h2>{{ candidate.name }}</h2>
      <VerdictRing :verdict="candidate.verdict" :certainty="candidate.certainty" />
    </div>
    <p class="quiet">
      {{ candidate.measured }}; <span class="figure">{{ price(candidate.priceCents) }}</span>,
      <template v-if="candidate.partId === null"
        >{{ candidate.supplier }} has <span class="figure">{{ candidate.free }}</span></template
      >
      <template v-else-if="candidate.free > 0"
        ><span class="figure">{{ candidate.free }}</span> free<template v-if="candidate.place"
          >, {{ candidate.place }}</template
        ></template
      >
      <template v-else
        >none free<template v-if="candidate.listed > 0"
          >, {{ candidate.listed }} on the list to be ordered</template
        ><template v-if="candidate.ordered > 0">, {{ candidate.ordered }} ordered</template></template
      >
    </p>
    <p v-if="candidate.cures" class="cures">This cures the between-sizes problem.</p>
    <p>
      {{
        candidate.rules.find((r) => r.rule === (candidate.deciding ?? 'reach'))?.says ??
        candidate.rules[0]?.says
      }}
    </p>
    <dl v-if="whole" class="rules">
      <template v-for="r in candidate.rules" :key="r.rule">
        <dt>
          <VerdictRing :verdict="r.verdict" :certainty="r.certainty" bare /> {{ ruleNames[r.rule] ?? r.rule }}
        </dt>
        <dd>{{ r.says }}</dd>
      </template>
    </dl>
    <WorkList :rules="candidate.rules" />
    <div class="acts">
      <button type="button" class="plain" :aria-expanded="whole" @click="whole = !whole">
        {{ whole ? 'Less' : 'Every rule' }}
      </button>
      <span v-if="candidate.chosen" class="mine">Goes on</span>
      <template v-else-if="open && candidate.verdict !== 'no'">
        <v-btn v-if="candidate.partId === null" variant="outlined" @click="emit('list')"
          >Put on the list</v-btn
        >
        <v-btn v-else variant="outlined" color="primary" @click="emit('choose', signedBy)">
          {{ candidate.free > 0 ? 'Choose' : 'Choose and order' }} {{ candidate.article }}
        </v-btn>
      </template>
    </div>
    <v-text-field
      v-if="
        candidate.needsConsent &&
        open &&
        !candidate.chosen &&
        candidate.partId !== null &&
        candidate.verdict !== 'no'
      "
      v-model="signedBy"
      density="compact"
      label="Written consent signed by"
      :name="`consent-${candidate.article}`"
      :error-messages="refusal ? [refusal] : []"
    />
    <RefusedLine v-else-if="refusal" :of="refusal" />
  </li>
</template>

<style scoped>
.card {
  padding: 8px 2px 10px 10px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
  display: flex;
  flex-direction: column;
  gap: 3px;
}
.card.chosen {
  box-shadow: inset 4px 0 0 rgb(var(--v-theme-primary));
}
.card.no {
  color: rgb(var(--v-theme-iron));
}
.top {
  display: flex;
  justify-content: space-between;
  gap: 10px;
}
.cures {
  font-weight: 600;
  border-left: 4px solid rgb(var(--v-theme-primary));
  padding-left: 8px;
}
.rules {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 12px;
  margin: 4px 0;
  font-size: 16px;
}
.mine {
  font-weight: 600;
}
</style>
