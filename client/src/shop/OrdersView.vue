<script setup lang="ts">
import ByField from '../controls/ByField.vue'
import { reactive, ref, watch } from 'vue'
import { useOrders, type Order, type OrderState } from '../api/parts'
import { saidOf } from '../api/refused'
import { price } from '../controls/price'
import { asDay } from '../controls/days'
import RefusedLine from '../controls/RefusedLine.vue'
import DraftLine from '../controls/DraftLine.vue'
import { useDraft } from '../controls/drafts'

const { book, make, quote, dropLine, fillUp, ask, receive, settle } = useOrders()
const by = ref('')
const error = ref<unknown>(null)
const busy = ref<string | null>(null)
async function act(what: string, call: () => Promise<unknown>) {
  busy.value = what
  try {
    await call()
    error.value = null
  } catch (refusal) {
    error.value = refusal
  }
  busy.value = null
}

const states: Record<OrderState, string> = {
  sending: 'not confirmed yet',
  accepted: 'ordered',
  partly: 'partly on its way',
  shipped: 'on its way',
  done: 'all here',
  refused: 'refused',
}

/** What suppliers said their lines would cost. */
const quoted = reactive<Record<string, string>>({})
const askPrice = (supplier: string) =>
  act(`quote ${supplier}`, async () => (quoted[supplier] = (await quote(supplier)).says))

/** The order whose delivery is being booked in, and how many of each line came. */
const receiving = ref<number | null>(null)
const came = reactive<Record<number, string>>({})
const draft = useDraft(
  'a delivery',
  () => (receiving.value === null ? null : { order: receiving.value, came: { ...came } }),
  (kept) => {
    receiving.value = kept?.order ?? null
    Object.assign(came, kept?.came)
  },
)
function begin(order: Order) {
  receiving.value = order.id
  for (const line of order.lines) came[line.id] = String(Math.max(0, line.shipped - line.received))
}
function bookIn(order: Order) {
  const lines = order.lines.map((l) => ({ lineId: l.id, count: Math.trunc(Number(came[l.id] ?? 0)) || 0 }))
  void act('receive', async () => {
    await receive(order.id, { lines, by: by.value })
    receiving.value = null
    draft.done()
  })
}
const address = ref('')
watch(
  () => book.data.value?.suppliers,
  (now) => (address.value = book.data.value?.isStandIn ? '' : (now ?? '')),
  { immediate: true },
)
</script>

<template>
  <div v-if="book.data.value" class="orders">
    <h1>Orders</h1>
    <p class="says">
      What is missing is ordered by its measured figures; what comes in goes to the jobs that wait for it.
    </p>
    <ByField
      v-model="by"
      class="by"
      density="compact"
      label="Your initials"
      :errors="saidOf(error, '$.by')"
    />
    <RefusedLine :of="error" />
    <DraftLine :draft="draft" />

    <h2>To be ordered</h2>
    <p v-if="book.data.value.toOrder.length === 0" class="quiet">Nothing is on the list.</p>
    <section v-for="s in book.data.value.toOrder" :key="s.supplier" :data-supplier="s.supplier">
      <div class="top">
        <h3>{{ s.supplier || 'No supplier is known' }}</h3>
        <span class="figure">{{ price(s.totalCents) }}</span>
      </div>
      <ul>
        <li v-for="l in s.lines" :key="l.id">
          <span class="figure">{{ l.count }}</span> {{ l.name }}, {{ l.article }}
          <span class="quiet">{{ l.measured }}</span>
          <router-link v-if="l.jobId" class="plain" :to="`/jobs/${l.jobId}/clasp`"
            >tag {{ l.jobId }}</router-link
          >
          <button
            type="button"
            class="plain"
            :aria-label="`take off ${l.article}, from the list`"
            @click="act('drop', () => dropLine(l.id))"
          >
            take off
          </button>
        </li>
      </ul>
      <p v-if="quoted[s.supplier]" role="status">{{ quoted[s.supplier] }}</p>
      <div v-if="s.supplier" class="acts">
        <v-btn
          variant="outlined"
          :loading="busy === s.supplier"
          @click="act(s.supplier, () => make(s.supplier, by))"
        >
          Order from {{ s.supplier }}
        </v-btn>
        <v-btn variant="outlined" :loading="busy === `quote ${s.supplier}`" @click="askPrice(s.supplier)"
          >What would it cost?</v-btn
        >
      </div>
    </section>
    <p>
      <v-btn variant="text" :loading="busy === 'fill'" @click="act('fill', fillUp)">Add what runs low</v-btn>
    </p>

    <div class="top line">
      <h2>Ordered</h2>
      <v-btn
        v-if="book.data.value.orders.length > 0"
        variant="outlined"
        :loading="busy === 'ask'"
        @click="act('ask', ask)"
      >
        Ask after them
      </v-btn>
    </div>
    <p v-if="book.data.value.orders.length === 0" class="quiet">Nothing was ordered yet.</p>
    <section v-for="o in book.data.value.orders" :key="o.id" class="order" :data-order="o.id">
      <div class="top">
        <h3>
          {{ o.supplier }}
          <span class="quiet"
            >no. {{ o.id }}<template v-if="o.number">, theirs {{ o.number }}</template
            >, {{ asDay(o.madeAt.slice(0, 10)) }}, {{ o.madeBy }}</span
          >
        </h3>
        <strong :data-state="o.state">{{ states[o.state] }}</strong>
      </div>
      <p v-if="o.says" role="status">
        {{ o.says }}
        <span v-if="o.state === 'sending'" class="quiet"
          >Sent {{ o.tries }} {{ o.tries === 1 ? 'time' : 'times' }}; it is one order however often it
          goes.</span
        >
      </p>
      <ul>
        <li v-for="l in o.lines" :key="l.id" :data-line="l.article">
          <span class="figure">{{ l.count }}</span> {{ l.name }}, {{ l.article }}
          <span class="quiet">{{ l.measured }}</span>
          <router-link v-if="l.jobId" class="plain" :to="`/jobs/${l.jobId}/clasp`"
            >tag {{ l.jobId }}</router-link
          >
          <span v-if="l.refused" class="refusal">not sent: {{ l.refused }}</span>
          <span v-else-if="l.received > 0 || l.shipped > 0" class="quiet"
            ><template v-if="l.received > 0">{{ l.received }} here</template
            ><template v-if="l.shipped > l.received"> {{ l.shipped - l.received }} on the way</template></span
          >
          <label v-if="receiving === o.id && l.received < l.count">
            came
            <input v-model="came[l.id]" class="figure" inputmode="numeric" :name="`came-${l.article}`" />
          </label>
        </li>
      </ul>
      <div class="acts">
        <template v-if="receiving === o.id">
          <v-btn variant="outlined" :loading="busy === 'receive'" @click="bookIn(o)">Book into stock</v-btn>
          <v-btn variant="text" @click="receiving = null">Leave it</v-btn>
        </template>
        <v-btn v-else-if="o.canCome" variant="outlined" @click="begin(o)">A delivery came</v-btn>
        <a class="plain" :href="`/api/orders/${o.id}.pdf`" target="_blank">PDF</a>
        <a class="plain" :href="`/api/orders/${o.id}.pdf?paper=letter`" target="_blank">PDF, letter</a>
        <a class="plain" :href="`/api/orders/${o.id}.csv`" download>CSV</a>
      </div>
    </section>

    <form class="address" @submit.prevent="act('settle', () => settle(address))">
      <h2>Whom to ask</h2>
      <p class="quiet">
        {{
          book.data.value.isStandIn
            ? 'The stand-in suppliers that ship with the program.'
            : book.data.value.suppliers
              ? ''
              : 'No address is set: orders can be printed and written as CSV.'
        }}
      </p>
      <v-text-field
        v-model="address"
        density="compact"
        label="Address of the suppliers’ service"
        name="suppliers"
        :error-messages="saidOf(error, '$.address')"
      />
      <v-btn type="submit" variant="outlined">Save</v-btn>
    </form>
  </div>
</template>

<style scoped>
.orders {
  max-width: 900px;
}
h2 {
  margin-top: 10px;
}
h3 {
  font-size: 17px;
  font-weight: 600;
}
h3 .quiet {
  font-weight: 400;
}
.by {
  max-width: 180px;
  margin-top: 8px;
}
section {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 6px 0 10px;
}
.top {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 16px;
}
.line {
  align-items: center;
}
ul {
  margin: 2px 0 6px;
  padding-left: 4px;
  list-style: none;
}
li {
  min-height: 44px;
}
.refusal {
  font-weight: 600;
}
li input {
  width: 64px;
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid rgb(var(--v-theme-iron));
  border-radius: 2px;
  color: inherit;
}
.address {
  border-top: 3px double rgb(var(--v-theme-hairline));
  margin-top: 14px;
}
.address :deep(.v-input) {
  max-width: 420px;
}
</style>
