<script setup lang="ts">
import { ref } from 'vue'
import { useDoor } from '../api/door'

/** What whoever works here has to know about the shop's file; put aside by whoever has read it, until the page is opened anew. */
const { door } = useDoor()
const read = ref(false)
</script>

<template>
  <section v-if="door?.notice && !read" class="notice" role="alert" aria-label="The shop’s file">
    <p>{{ door.notice }}</p>
    <v-btn variant="outlined" @click="read = true">Understood</v-btn>
  </section>
</template>

<style scoped>
.notice {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 20px;
  align-items: center;
  margin: 14px 20px 0;
  padding: 10px 16px;
  border-left: 4px solid rgb(var(--v-theme-error));
}
</style>
