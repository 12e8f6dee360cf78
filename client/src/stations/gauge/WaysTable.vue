<script setup lang="ts">
import { tenths } from '../../api/tenths'
import type { Ways } from '../../api/gauge'

defineProps<{ ways: Ways | null }>()
const names = { measured: 'By tape and head', tryOn: 'By try-on', copy: 'By copied loop' } as const
</script>

<template>
  <div v-if="ways" class="ways">
    <table>
      <caption class="quiet">
        Needed length at no ease
      </caption>
      <tbody>
        <tr v-for="w in ways.ways" :key="w.way" :class="{ odd: w.disagrees }">
          <th scope="row">{{ names[w.way] }}</th>
          <td class="figure">{{ tenths(w.neededMm) }} mm</td>
          <td class="figure quiet">± {{ tenths(w.sigmaMm) }} mm</td>
          <td>{{ w.disagrees ? 'disagrees' : '' }}</td>
        </tr>
        <tr v-if="ways.ways.length > 1" class="together">
          <th scope="row">Together</th>
          <td class="figure" data-testid="together">{{ tenths(ways.neededMm) }} mm</td>
          <td class="figure quiet">± {{ tenths(ways.sigmaMm) }} mm</td>
          <td />
        </tr>
      </tbody>
    </table>
    <p v-if="ways.says" role="alert">
      <strong>{{ ways.says }}</strong>
    </p>
  </div>
</template>

<style scoped>
caption {
  text-align: left;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 2px 18px 2px 0;
}
td {
  padding: 2px 14px 2px 0;
  text-align: right;
}
.together th,
.together td {
  font-weight: 600;
  border-top: 1px solid rgb(var(--v-theme-on-surface));
}
.odd td:last-child {
  font-weight: 600;
}
</style>
