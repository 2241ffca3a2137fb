<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import type { Session } from '#model/session'
import { formatDuration } from '#core/units'
import { clockText } from '#words/dates'
import { ports } from '#web/shared/ports.ts'

interface Instead {
  readonly name: string
  /** The block it is a section of, where it is not all of it. */
  readonly inBlock: string | undefined
  readonly s: number
  readonly isBreath: boolean
}

/** What is not led as it is planned, what waits for people to be asked, and what stands wrong and is led all the same. */
const props = defineProps<{
  session: Session
  /** Given to natural breath, because it may not be led as it is planned. */
  instead: readonly Instead[]
  /** Given to natural breath until everybody was asked. */
  insteadUnasked: readonly Instead[]
  wantsAsking: boolean
  musts: readonly { readonly title: string; readonly where: string }[]
  mayBeLed: boolean
  /** Whether it is found of the people of the class, and told in Plan alone. */
  isOfPeople: boolean
}>()
const askedAtMs = defineModel<number | undefined>('askedAtMs', { required: true })
/** A breath over a hold, or one held in a movement, stands in Plan. */
const why = computed(() => (!props.isOfPeople && props.instead.every(({ isBreath }) => isBreath) ? 'breath' : 'plan'))
const ask = (): void => {
  askedAtMs.value = askedAtMs.value === undefined ? ports().epochMs() : undefined
}
</script>

<template>
  <section v-if="wantsAsking" class="note" aria-label="Asked in private">
    <p v-if="askedAtMs === undefined">
      Breath is held here, or strokes are made. Ask everybody in private what speaks against it.
    </p>
    <p v-else>Everybody was asked in private, said at {{ clockText(askedAtMs) }}.</p>
    <p v-for="({ name, inBlock, s }, index) in insteadUnasked" :key="index">
      Until then <b>{{ name }}</b><template v-if="inBlock"> in {{ inBlock }}</template> is natural breath for
      {{ formatDuration(s) }}.
    </p>
    <Button
      severity="secondary"
      outlined
      :label="askedAtMs === undefined ? 'Everybody was asked, in private' : 'Not everybody was asked'"
      @click="ask"
    />
  </section>
  <section v-if="instead.length > 0 || !mayBeLed" class="note" aria-label="Not led as it is planned">
    <p v-for="({ name, inBlock, s }, index) in instead" :key="index">
      <b>{{ name }}</b><template v-if="inBlock"> in {{ inBlock }}</template> is not led as it is planned: natural breath
      for {{ formatDuration(s) }} in its place.
    </p>
    <p v-if="session.stage === 6 && instead.length > 0">
      Stage 6 is led in a planned class of at most four people, each marked for it; without one the class is at stage 5.
    </p>
    <p v-if="!mayBeLed && !wantsAsking">This cannot be led as it is planned, and nothing can stand for it.</p>
    <p v-else-if="!mayBeLed">Nothing can stand for it: it waits until everybody was asked.</p>
    <RouterLink v-if="instead.length > 0" :to="{ name: why, params: { id: session.id } }">{{
      why === 'breath' ? 'See in Breath why' : 'See in Plan why'
    }}</RouterLink>
  </section>
  <section v-if="musts.length > 0" class="note" aria-label="Stands wrong in the plan">
    <p v-for="({ title, where }, index) in musts" :key="index">
      <b>{{ title }}</b><template v-if="where">, {{ where }}</template>
    </p>
    <RouterLink :to="{ name: 'plan', params: { id: session.id } }">Mend it in Plan, or lead it as it stands</RouterLink>
  </section>
</template>

<style scoped>
.note {
  display: grid;
  gap: 6px;
  justify-items: start;
  padding: 10px 14px;
  border-left: 4px solid var(--chosen);
  background: var(--sheet);
}
.note :deep(.p-button) {
  min-height: 44px;
}
</style>
