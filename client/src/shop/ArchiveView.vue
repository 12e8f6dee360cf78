<script setup lang="ts">
import { computed, ref } from 'vue'
import { useBackups, useLongWork } from '../api/log'
import { useDoor } from '../api/door'
import { asMoment } from '../controls/days'
import RefusedLine from '../controls/RefusedLine.vue'

const { work, error, archive, reindex, restore, backUp, goBack, cancel } = useLongWork()
const { data: backups } = useBackups()
const { mayAs } = useDoor()
const isFitter = mayAs('fitter')
const isLead = mayAs('lead')
/** The backup that is about to take the shop's place. */
const sure = ref<string | null>(null)
const input = ref<HTMLInputElement | null>(null)
const running = computed(() => work.value?.state === 'running')
const far = computed(() =>
  work.value && Number(work.value.total) > 0 ? (100 * Number(work.value.done)) / Number(work.value.total) : 0,
)
const names: Record<string, string> = {
  archive: 'Writing the archive',
  restore: 'Taking the archive in',
  reindex: 'Making the log’s index',
  backup: 'Making a backup',
  'back to a backup': 'Going back to a backup',
}

function chosen() {
  const file = input.value?.files?.[0]
  if (file) void restore(file)
  if (input.value) input.value.value = ''
}
</script>

<template>
  <section class="archive">
    <h1>The whole shop as files</h1>
    <div v-if="work" class="work" role="status" data-testid="work">
      <p>
        <strong>{{ names[work.kind] }}{{ running ? `, ${Math.floor(far)} %` : '' }}</strong> {{ work.says }}
      </p>
      <v-progress-linear v-if="running" :model-value="far" color="primary" height="8" />
      <v-btn v-if="running" variant="outlined" @click="cancel">Cancel</v-btn>
      <a v-if="work.state === 'done' && work.kind === 'archive'" :href="`/api/long-work/${work.id}/file`"
        >Save the archive</a
      >
    </div>
    <p v-if="!isLead" class="quiet">Archives, backups and the index are a manager’s.</p>
    <RefusedLine :of="error" beside-fields />
    <div class="line">
      <v-btn variant="outlined" :disabled="running || !isLead" @click="archive">Write an archive</v-btn>
      <p class="quiet">Everything, photos too, in one JSON file with a digest.</p>
    </div>
    <div class="line">
      <v-btn variant="outlined" :disabled="running || !isLead" @click="input?.click()"
        >Take an archive in…</v-btn
      >
      <input ref="input" type="file" accept=".json,application/json" name="archive" hidden @change="chosen" />
      <p class="quiet">Into an empty shop only. A foreign or damaged file is refused and changes nothing.</p>
    </div>
    <div class="line">
      <v-btn variant="outlined" :disabled="running || !isLead" @click="reindex"
        >Make the log’s index anew</v-btn
      >
      <p class="quiet">When a search does not find what is there.</p>
    </div>
    <h2>Backups</h2>
    <div class="line">
      <v-btn variant="outlined" :disabled="running || !isLead" @click="backUp">Make a backup now</v-btn>
      <p class="quiet">
        One is made every day by itself, checked, and thinned out with age. They lie in the shop’s folder:
        copy them elsewhere now and then.
      </p>
    </div>
    <ul v-if="backups && backups.length > 0" aria-label="Backups">
      <li v-for="b in backups" :key="b.name">
        <span>{{ asMoment(b.at) }}</span>
        <span class="figure quiet">{{ (Number(b.bytes) / 1024 / 1024).toFixed(1) }} MB</span>
        <v-btn v-if="sure !== b.name" variant="text" :disabled="running || !isLead" @click="sure = b.name"
          >Go back to it…</v-btn
        >
        <template v-else>
          <v-btn
            color="primary"
            @click="
              () => {
                sure = null
                void goBack(b.name)
              }
            "
            >Put it in the shop’s place</v-btn
          >
          <v-btn variant="text" @click="sure = null">Leave it</v-btn>
        </template>
      </li>
    </ul>
    <h2>As tables and calendars</h2>
    <p class="files">
      <template v-if="isLead"><a href="/api/jobs.csv">Jobs</a> <a href="/api/log.csv">Log</a></template>
      <a href="/api/catalogue.csv">Bands</a>
      <a v-if="isFitter" href="/api/parts.csv">Parts</a> <span class="quiet">CSV</span>
    </p>
    <p v-if="isFitter" class="files">
      <a href="/api/days.ics">Promised and observation days</a> <span class="quiet">iCalendar</span>
    </p>
    <p class="quiet">What names people is given out to a manager; each time is noted.</p>
  </section>
</template>

<style scoped>
.archive {
  display: grid;
  gap: 14px;
  max-width: 760px;
}
.line {
  display: grid;
  grid-template-columns: 240px 1fr;
  gap: 20px;
  align-items: center;
}
.work {
  display: grid;
  gap: 8px;
  justify-items: start;
  border-left: 4px solid rgb(var(--v-theme-primary));
  padding-left: 12px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 16px;
  min-height: 48px;
  border-top: 1px solid rgb(var(--v-theme-hairline));
}
.files {
  display: flex;
  align-items: center;
  gap: 20px;
}
a {
  min-width: 44px;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  color: rgb(var(--v-theme-primary));
  font-weight: 600;
  padding: 8px 0;
}
</style>
