<script setup lang="ts">
import { computed, reactive, ref } from 'vue'
import { useBench, type BenchSheet, type TrayAct } from '../../api/bench'
import { trayActs } from './words'
import RefusedLine from '../../controls/RefusedLine.vue'

const props = defineProps<{ jobId: number; sheet: BenchSheet; open: boolean }>()
const bench = useBench(() => props.jobId, false)
const stock = bench.stock()
const typed = reactive({ heap: '', count: 1, act: 'lost' as TrayAct, partId: null as number | null, why: '' })
const fromStock = computed(() => typed.act === 'fromStock' || typed.act === 'toStock')
const error = ref<unknown>(null)
async function say() {
  try {
    await bench.part({ ...typed, partId: fromStock.value ? typed.partId : null })
    error.value = null
    typed.why = ''
  } catch (refusal) {
    error.value = refusal
  }
}
/** How many dots a heap is drawn with; more are told by their number alone. */
const most = 12
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">Part</th>
        <th scope="col">In the watch or band</th>
        <th scope="col">In the tray</th>
        <th scope="col">Lost</th>
        <th scope="col">From stock</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in sheet.tray" :key="line.heap" :data-part="line.part">
        <th scope="row">{{ line.part }}</th>
        <td class="figure">{{ line.watch }}</td>
        <td class="figure tray">
          {{ line.tray
          }}<span class="heap" aria-hidden="true"
            ><i v-for="n in Math.min(line.tray, most)" :key="n" :class="{ link: line.links }"
          /></span>
        </td>
        <td class="figure" :class="{ lost: line.lost > 0 }">
          {{ line.lost }}{{ line.scrapped > 0 ? `, ${line.scrapped} thrown away` : '' }}
        </td>
        <td class="figure">{{ line.fromStock }}</td>
      </tr>
    </tbody>
  </table>
  <p v-if="sheet.tray.length === 0" class="quiet">No small parts are on account yet.</p>
  <form v-if="open && sheet.tray.length > 0" @submit.prevent="say">
    <div class="row">
      <input
        v-model.number="typed.count"
        class="plain-field"
        type="number"
        min="1"
        name="trayCount"
        aria-label="How many"
      />
      <select v-model="typed.heap" class="plain-field" name="trayPart" aria-label="Part">
        <option value="" disabled>of which part</option>
        <option v-for="line in sheet.tray" :key="line.heap" :value="line.heap">{{ line.part }}</option>
      </select>
      <select v-model="typed.act" class="plain-field" name="trayAct" aria-label="What happened">
        <option v-for="a in trayActs" :key="a.value" :value="a.value">{{ a.title }}</option>
      </select>
    </div>
    <div class="row">
      <select
        v-if="fromStock"
        v-model="typed.partId"
        class="plain-field"
        name="trayStock"
        aria-label="Which in stock"
      >
        <option :value="null">from the bench box, not counted</option>
        <option v-for="s in stock.data.value ?? []" :key="s.partId" :value="s.partId">
          {{ s.article }}: {{ s.name }}, {{ s.measured }} ({{ s.free }} free)
        </option>
      </select>
      <input
        v-model="typed.why"
        class="plain-field"
        name="trayWhy"
        placeholder="A word on it"
        aria-label="A word on it"
        autocomplete="off"
      />
      <v-btn type="submit" variant="outlined" :disabled="typed.heap === ''">Record</v-btn>
    </div>
    <RefusedLine :of="error" />
  </form>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-weight: 400;
}
thead th {
  font-size: 14px;
  color: rgb(var(--v-theme-iron));
}
td,
tbody th {
  border-top: 1px solid rgb(var(--v-theme-hairline));
  padding: 5px 8px 5px 0;
}
.heap {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 3px;
  padding-left: 8px;
}
.heap i {
  width: 3px;
  height: 13px;
  background: rgb(var(--v-theme-iron));
}
.heap i.link {
  width: 9px;
  border: 1px solid rgb(var(--v-theme-on-surface));
  background: rgb(var(--v-theme-steel));
}
.lost {
  font-weight: 600;
  color: rgb(var(--v-theme-error));
}
form {
  display: flex;
  flex-direction: column;
  gap: 8px;
  border-top: 1px solid rgb(var(--v-theme-on-surface));
  padding-top: 8px;
}
input[type='number'] {
  width: 70px;
}
</style>
