<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Problem } from '#model/problem'
import { poseIn } from '#core/session'
import { useOwnStore } from '#web/shared/own/own-store.ts'
import type { OwnOutcome } from '#web/shared/own/own-store.ts'
import { copyOf, dropDraft, emptyPose, keepDraft, keptDraft, poseOf, setUpOfDraft } from './own-pose-draft.ts'
import type { OwnPoseDraft } from './own-pose-draft.ts'
import OwnPoseShape from './OwnPoseShape.vue'
import OwnPoseTimes from './OwnPoseTimes.vue'
import OwnPoseWords from './OwnPoseWords.vue'

/** A pose of one's own as a form: what is typed is kept until it is saved; what is refused says so at its field. */
const route = useRoute()
const router = useRouter()
const own = useOwnStore()

const draft = ref<OwnPoseDraft>()
const wasKept = ref(false)
const problem = ref<Problem>()
const away = ref(false)

/** The draft of a new pose is kept apart from that of a pose being edited. */
const draftKey =
  typeof route.params['id'] === 'string' ? route.params['id'] : `new ${String(route.query['from'] ?? '')}`
const isNew = computed(() => route.name === 'own-pose-new')

onMounted(async () => {
  await own.load()
  const kept = keptDraft(draftKey)
  wasKept.value = kept !== undefined
  draft.value = kept ?? fresh()
})

/** What the page starts from: the pose edited, a copy of another, or an empty one. */
function fresh(): OwnPoseDraft | undefined {
  const { id } = route.params
  if (typeof id === 'string') {
    const thing = own.find('pose', id)
    const props = structuredClone(own.catalog.ownPoses.get(id)?.props ?? [])
    return thing?.kind === 'pose' ? { ...structuredClone(thing.document), props } : undefined
  }
  const from = typeof route.query['from'] === 'string' ? poseIn(own.catalog, route.query['from']) : undefined
  return from ? copyOf(from) : emptyPose()
}

function discard(): void {
  dropDraft(draftKey)
  wasKept.value = false
  draft.value = fresh()
}
watch(
  draft,
  (now, before) => {
    if (now && before) keepDraft(draftKey, now)
  },
  { deep: true },
)

const refusals = computed(
  () => new Map((problem.value?.refusals ?? []).map(({ path, sentence }) => [path.replace(/\[.*$/, ''), sentence])),
)
const refusal = (path: string) => refusals.value.get(path)

async function save(): Promise<void> {
  if (!draft.value) return
  problem.value = undefined
  away.value = false
  const outcome = await put(draft.value)
  if (outcome.kind === 'done') {
    dropDraft(draftKey)
    await router.push({ name: 'shelf-page', params: { id: draft.value.id } })
  } else if (outcome.kind === 'refused') problem.value = outcome.problem
  else away.value = true
  if (outcome.kind !== 'done') await goToFirstMend()
}
/** The pose, and the set-up made of what it takes. */
async function put(typed: OwnPoseDraft): Promise<OwnOutcome> {
  const outcome = await own.put('pose', poseOf(typed))
  const setUp = outcome.kind === 'done' ? setUpOfDraft(typed, own.catalog) : undefined
  return setUp ? own.put('setUp', setUp) : outcome
}
/** The first field that wants mending gets the focus; without one the words above the form are shown. */
async function goToFirstMend(): Promise<void> {
  await nextTick()
  const form = document.querySelector('.own-pose')
  const first = form?.querySelector('.refusal')?.parentElement?.querySelector<HTMLElement>('input, textarea')
  if (first) first.focus()
  else form?.scrollTo({ top: 0 })
}
const mends = computed(
  () => problem.value?.refusals?.map(({ sentence }) => sentence) ?? (problem.value ? [problem.value.detail] : []),
)
</script>

<template>
  <div class="page own-pose">
    <form v-if="draft" class="page-sheet" @submit.prevent="save">
      <h1>{{ isNew ? 'A pose of your own' : draft.names.english }}</h1>
      <p v-if="wasKept" class="kept">
        What you had typed and not saved is here again.
        <Button text size="small" severity="secondary" label="Start afresh" @click="discard" />
      </p>
      <div v-if="mends.length > 0 || away" class="refused" role="alert">
        <b>Not saved yet.</b>
        <span v-if="away">
          Zovrin’s server does not answer; what you typed is kept in this browser. Start the server, then save
          again.</span
        >
        <ul>
          <li v-for="mend in mends" :key="mend">{{ mend }}</li>
        </ul>
      </div>

      <OwnPoseShape :key="String(wasKept)" v-model="draft" :refusal="refusal" />
      <OwnPoseTimes v-model="draft" :refusals="refusals" />
      <OwnPoseWords v-model="draft" :refusal="refusal" />

      <div class="acts">
        <Button type="submit" label="Save" />
        <Button severity="secondary" outlined label="Back to the shelf" @click="router.push({ name: 'shelf' })" />
        <span class="note">What you type is kept in this browser until it is saved.</span>
      </div>
    </form>
    <div v-else class="page-sheet">
      <p>There is no pose of your own here. <RouterLink :to="{ name: 'shelf' }">See all of the shelf</RouterLink>.</p>
    </div>
  </div>
</template>

<style scoped>
.own-pose :deep(h2) {
  margin: 22px 0 4px;
  padding-top: 12px;
  border-top: 1px solid var(--line-soft);
}
.own-pose :deep(.two),
.own-pose :deep(.three) {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 0 14px;
}
.own-pose :deep(.two) {
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
}
.own-pose :deep(.note) {
  font-size: 14.5px;
  color: var(--ink-soft);
}
.own-pose :deep(.refusal) {
  color: var(--avoid);
  font-size: 14px;
}
.kept,
.refused {
  margin-top: 10px;
  padding: 8px 12px;
  border-left: 5px solid var(--ink);
  background: var(--line-soft);
}
.refused {
  border-color: var(--avoid);
  background: var(--avoid-wash);
}
.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 10px;
  margin-top: 22px;
}
</style>
