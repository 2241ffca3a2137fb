<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onMounted, ref } from 'vue'
import { flagsOf, gateOf, rollSide } from '#core/cautions'
import { askAgain } from '#core/class'
import { cautionBook } from '#library/cautions/book'
import { personFile, personFileName } from '#formats/person-file'
import { disclaimer } from '#words/advice'
import { classWhen } from '#words/class-days'
import { counted } from '#words/text'
import { askAgainWords, gateWords, rollWords } from '#words/people'
import { listSessions } from '#web/shared/api/sessions.ts'
import { saveCalendar } from '#web/shared/house/class-calendar.ts'
import { useLongDaysStore } from '#web/shared/house/long-days-store.ts'
import { usePlannedClassesStore } from '#web/shared/house/planned-classes-store.ts'
import { useSeriesStore } from '#web/shared/house/series-store.ts'
import { download } from '#web/shared/ui/download.ts'
import DeletePerson from './DeletePerson.vue'
import { usePeople } from './use-people.ts'

/** What follows from what somebody told, the classes they are planned for, and their own data: given out, or deleted. */
const { chosen, today } = usePeople()
const classes = usePlannedClassesStore()
const flags = computed(() => (chosen.value ? flagsOf(chosen.value, cautionBook) : []))
const follows = computed(() => [
  gateWords(gateOf(flags.value, cautionBook)),
  chosen.value ? askAgainWords(askAgain(chosen.value, today())) : '',
  rollWords(rollSide(flags.value, 'right')),
])
const lines = computed(() => follows.value.filter((line) => line !== ''))
const theirs = computed(() =>
  classes.planned.filter(({ people }) => people.some(({ personId }) => personId === chosen.value?.id)),
)
const toCome = computed(() => theirs.value.filter(({ day, ledClassId }) => day >= today() && !ledClassId))
const came = computed(
  () =>
    theirs.value.filter(
      ({ ledClassId, people }) =>
        ledClassId !== undefined && people.some(({ personId, away }) => personId === chosen.value?.id && !away),
    ).length,
)

/** Their own data as one file, made when it is asked for; the names of the sessions are read for it. */
const isMaking = ref(false)
async function giveOut(): Promise<void> {
  if (!chosen.value) return
  isMaking.value = true
  const reply = await listSessions()
  isMaking.value = false
  const names = new Map(reply.kind === 'ok' ? reply.value.map(({ id, name }) => [id, name]) : [])
  const within = { classes: theirs.value, series: series.series, longDays: longDays.days }
  const file = personFile(chosen.value, within, (id) => names.get(id) ?? '', new Date().toISOString())
  download(JSON.stringify(file, undefined, 2), personFileName, 'application/json')
}
/** The series they come to, as a calendar for them: no other name is in it. */
const series = useSeriesStore()
const longDays = useLongDaysStore()
onMounted(() => Promise.all([series.load(), longDays.load()]))
const theirSeries = computed(() => series.series.filter(({ people }) => people.includes(chosen.value?.id ?? '')))
const theirDays = computed(() => longDays.days.filter(({ people }) => people.includes(chosen.value?.id ?? '')))
const isDeleting = ref(false)
</script>

<template>
  <template v-if="chosen">
    <h2>What follows</h2>
    <p v-for="line in lines" :key="line">{{ line }}</p>
    <p v-if="lines.length === 0" class="none">
      Nothing stands before practice. What they told is looked at pose by pose.
    </p>
    <section class="part">
      <h3>Planned for</h3>
      <p v-for="one in toCome" :key="one.id">
        <RouterLink
          :to="{ name: 'who', params: { id: one.sessionId } }"
          @click="classes.openWith(one.sessionId, one.id)"
          >{{ classWhen(one) }}</RouterLink
        >
      </p>
      <p v-if="toCome.length === 0" class="none">No class to come.</p>
      <p v-if="came > 0" class="none">Came {{ counted(came, 'time') }}.</p>
    </section>
    <section class="part">
      <h3>Their own data</h3>
      <p class="none">One file with all that is kept of them, for them to have.</p>
      <div class="acts">
        <Button
          size="small"
          severity="secondary"
          outlined
          icon="pi pi-download"
          label="Save their data"
          :loading="isMaking"
          @click="giveOut"
        />
        <Button
          v-if="theirSeries.length + theirDays.length > 0"
          size="small"
          severity="secondary"
          outlined
          icon="pi pi-calendar"
          label="Their classes as calendar"
          @click="saveCalendar('classes', { series: theirSeries, longDays: theirDays }, chosen.id)"
        />
        <Button size="small" severity="secondary" outlined label="Delete them…" @click="isDeleting = true" />
      </div>
    </section>
    <p class="advice">{{ disclaimer }}</p>
    <DeletePerson v-if="isDeleting" :classes="theirs.length" @close="isDeleting = false" />
  </template>
</template>

<style scoped>
h2 {
  font-size: 18px;
}
.none,
.advice {
  color: var(--ink-soft);
}
.advice {
  margin-top: 18px;
  font-size: 14px;
}
.part {
  display: grid;
  gap: 4px;
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--line-soft);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 4px;
}
</style>
