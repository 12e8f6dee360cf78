<script setup lang="ts">
import { reactive, ref } from 'vue'
import { roleNames, useDoor, useHands, type Role } from '../api/door'
import { saidOf } from '../api/refused'
import { asMoment } from '../controls/days'
import KeysPart from './KeysPart.vue'
import RefusedLine from '../controls/RefusedLine.vue'
import { useActs } from '../controls/acts'

const { door, mayAs } = useDoor()
const { hands, add, change, end } = useHands()
const isLead = mayAs('lead')
const roles: { title: string; value: Role }[] = [
  { title: 'counter: takes in, gauges, hands over, orders', value: 'counter' },
  { title: 'fitter: works on jobs and on the stock besides', value: 'fitter' },
  { title: 'manager: looks after the shop besides', value: 'lead' },
]
const entered = reactive({ initials: '', role: 'fitter' as Role, passphrase: '' })
/** Whose passphrase is being set anew by a lead. */
const anew = reactive({ initials: '', passphrase: '' })
const error = ref<unknown>(null)
const said = ref('')

async function act(what: () => Promise<unknown>, says = '') {
  error.value = null
  said.value = ''
  try {
    await what()
    said.value = says
    return true
  } catch (refused) {
    error.value = refused
    return false
  }
}
async function enter() {
  if (await act(() => add({ ...entered }), `${entered.initials.toUpperCase()} is entered.`))
    Object.assign(entered, { initials: '', passphrase: '' })
}
async function setAnew() {
  const { initials: whose, passphrase } = anew
  if (await act(() => change(whose, { passphrase }), `${whose} has a new passphrase.`))
    Object.assign(anew, { initials: '', passphrase: '' })
}
useActs(() =>
  isLead.value && !door.value?.isOpen
    ? { back: { says: 'Start', to: '/' }, first: { says: 'Enter somebody', form: 'staff' } }
    : null,
)
</script>

<template>
  <div class="settings">
    <h1>Staff</h1>
    <p v-if="door?.isOpen" class="says">
      The demo opens without a password, to whoever sits at this machine, and listens to no other. In a shop
      of your own (<code>./run.sh --empty</code>) everybody signs in with initials and a passphrase, as
      counter, fitter or manager, and the initials stand on every record.
    </p>
    <template v-else>
      <RefusedLine :of="error" />
      <p v-if="said" role="status">{{ said }}</p>
      <table aria-label="Who works here">
        <thead>
          <tr>
            <th>Initials</th>
            <th>Role</th>
            <th>Since</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="h in hands?.hands" :key="h.initials" :class="{ gone: h.goneAt }">
            <td>{{ h.initials }}</td>
            <td>{{ roleNames[h.role] }}{{ h.goneAt ? ', has left' : '' }}</td>
            <td>{{ asMoment(h.since) }}</td>
            <td v-if="isLead" class="acts">
              <v-btn
                v-for="r in roles.filter((r) => r.value !== h.role && !h.goneAt)"
                :key="r.value"
                size="small"
                variant="text"
                @click="
                  act(
                    () => change(h.initials, { role: r.value }),
                    `${h.initials} is ${roleNames[r.value]} now.`,
                  )
                "
                >Make {{ roleNames[r.value] }}</v-btn
              >
              <v-btn v-if="!h.goneAt" size="small" variant="text" @click="anew.initials = h.initials"
                >New passphrase</v-btn
              >
              <v-btn
                size="small"
                variant="text"
                @click="act(() => change(h.initials, { gone: !h.goneAt }))"
                >{{ h.goneAt ? 'Is back' : 'Has left' }}</v-btn
              >
            </td>
            <td v-else />
          </tr>
        </tbody>
      </table>
      <form v-if="anew.initials" @submit.prevent="setAnew">
        <v-text-field
          v-model="anew.passphrase"
          :label="`New passphrase for ${anew.initials}`"
          name="anew"
          type="password"
          autocomplete="new-password"
          :error-messages="saidOf(error, '$.passphrase')"
        />
        <v-btn type="submit" variant="outlined">Set it; {{ anew.initials }}’s sessions end</v-btn>
      </form>

      <form v-if="isLead" id="staff" aria-label="Enter somebody" @submit.prevent="enter">
        <h2>Enter somebody</h2>
        <div class="row">
          <v-select v-model="entered.role" :items="roles" label="Role" data-field="role" />
          <v-text-field
            v-model="entered.initials"
            label="Initials"
            name="newInitials"
            autocomplete="off"
            :error-messages="saidOf(error, '$.initials')"
          />
        </div>
        <v-text-field
          v-model="entered.passphrase"
          label="A first passphrase, to be changed by them"
          name="newPassphrase"
          type="password"
          autocomplete="new-password"
          :error-messages="saidOf(error, '$.passphrase')"
        />
      </form>

      <KeysPart v-if="isLead" />

      <h2>Signed in</h2>
      <ul class="lines">
        <li v-for="s in hands?.sessions" :key="s.mark">
          <span
            >{{ s.initials }} since {{ asMoment(s.since) }}, last heard of {{ asMoment(s.seenAt)
            }}{{ s.isThis ? ', here' : '' }}<br /><span class="quiet">{{ s.device }}</span></span
          >
          <v-btn
            v-if="isLead && !s.isThis"
            size="small"
            variant="text"
            @click="act(() => end(s.mark), `${s.initials}’s session is over.`)"
            >End it</v-btn
          >
        </li>
      </ul>
      <template v-if="hands && hands.done.length > 0">
        <h2>Done last</h2>
        <ul class="lines">
          <li v-for="(e, i) in hands.done" :key="i">
            <span
              >{{ asMoment(e.at) }}, {{ e.by
              }}<template v-if="e.jobId !== null"
                >, <router-link :to="`/jobs/${e.jobId}`">tag {{ e.jobId }}</router-link></template
              >: {{ e.what }}</span
            >
          </li>
        </ul>
      </template>
      <template v-if="hands && hands.door.length > 0">
        <h2>At the door</h2>
        <ul class="lines">
          <li v-for="(e, i) in hands.door" :key="i">
            <span
              >{{ asMoment(e.at) }}: {{ e.initials || 'somebody' }} {{ e.what }}<br /><span class="quiet">{{
                e.device
              }}</span></span
            >
          </li>
        </ul>
      </template>
    </template>
  </div>
</template>

<style scoped src="./settings.css" />
<style scoped>
.settings {
  max-width: 780px;
}
h2 {
  font-size: 19px;
  font-weight: 600;
}
th {
  text-align: left;
  font-weight: 600;
}
td,
th {
  padding: 2px 12px 2px 0;
}
.gone td {
  color: rgb(var(--v-theme-iron));
}
.acts {
  white-space: nowrap;
}
.lines {
  list-style: none;
  padding: 0;
}
.lines li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 4px 0;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}
</style>
