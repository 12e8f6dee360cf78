<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import RefusedLine from '../controls/RefusedLine.vue'

interface Package {
  name: string
  version: string
  licence: string
  where: string
}

const { data: packages, error } = useQuery({
  queryKey: ['third-party'],
  staleTime: Infinity,
  queryFn: async () => {
    const answer = await fetch('/third-party.json')
    if (!answer.ok) throw new Error('The list is made when the program is built, and is not there.')
    return (await answer.json()) as Package[]
  },
})
</script>

<template>
  <section class="about">
    <h1>Iron Loop</h1>
    <p>
      For whoever fits straps and bracelets: it measures, reckons and remembers. It is no licence to open a
      watch: what the shop, the law or a maker asks goes before what stands here.
    </p>
    <h2>What it is made of</h2>
    <RefusedLine :of="error" beside-fields />
    <table v-if="packages" aria-label="What it is made of">
      <thead>
        <tr>
          <th scope="col">Package</th>
          <th scope="col">Version</th>
          <th scope="col">Licence</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in packages" :key="p.name">
          <td>{{ p.name }}</td>
          <td class="figure">{{ p.version }}</td>
          <td>{{ p.licence }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="packages" class="files">
      <a href="/licences.json" download>The texts of the licences of what runs in the browser</a>
    </p>
  </section>
</template>

<style scoped>
.about {
  display: grid;
  gap: 14px;
  max-width: 760px;
}
th,
td {
  padding: 4px 18px 4px 0;
  text-align: left;
  border-bottom: 1px solid rgb(var(--v-theme-hairline));
}
a {
  color: rgb(var(--v-theme-primary));
  font-weight: 600;
}
</style>
