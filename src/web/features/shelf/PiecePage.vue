<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Piece } from '#model/piece'
import { textLimits } from '#model/limits'
import { resolveSection } from '#core/breath'
import { protocolIn } from '#core/session'
import { blockNameIn, blockTimeWords } from '#words/blocks'
import { sectionLength, sectionLine } from '#words/sections'
import { counted } from '#words/text'
import { refusedWords, useOwnStore } from '#web/shared/own/own-store.ts'
import PageHead from './PageHead.vue'
import './page.css'

/** Blocks that were kept: what they are, another name for them, and away with them. */
const props = defineProps<{ piece: Piece }>()
const own = useOwnStore()
const router = useRouter()
const problem = ref('')
const name = ref(props.piece.name)
watch(
  () => props.piece.name,
  (now) => (name.value = now),
)

async function rename(): Promise<void> {
  const wanted = name.value.trim()
  if (wanted === '' || wanted === props.piece.name) return
  const outcome = await own.put('piece', { ...props.piece, name: wanted })
  problem.value = refusedWords(outcome)
}
async function remove(): Promise<void> {
  const outcome = await own.remove('piece', props.piece.id)
  if (outcome.kind === 'done') await router.push({ name: 'shelf' })
  else problem.value = refusedWords(outcome)
}

const protocol = computed(() => protocolIn(props.piece))
const rows = computed(() =>
  protocol.value
    ? protocol.value.sections.flatMap((section) => {
        const resolved = resolveSection(section, own.catalog.techniques)
        return resolved.ok
          ? [{ id: section.id, name: sectionLine(resolved.value), time: sectionLength(resolved.value) }]
          : []
      })
    : props.piece.blocks.map((block) => ({
        id: block.id,
        name: blockNameIn(block, own.catalog),
        time: blockTimeWords(block) || 'as usual',
      })),
)
const line = computed(() =>
  protocol.value
    ? `a protocol, ${counted(protocol.value.sections.length, 'section')} · kept by you; put in, they are ordinary sections`
    : `${counted(props.piece.blocks.length, 'block')} · kept by you; put in, they are ordinary blocks`,
)
</script>

<template>
  <article class="shelf-page">
    <PageHead
      :names="{ english: piece.name, others: [] }"
      :line="line"
      :thing="{ kind: 'piece', id: piece.id, blocks: piece.blocks }"
    >
      <Button severity="secondary" outlined label="Delete" @click="remove" />
    </PageHead>
    <p v-if="problem" class="refused" role="alert">{{ problem }}</p>
    <div class="columns">
      <div class="column">
        <section>
          <h2>{{ protocol ? 'Its sections' : 'Its blocks' }}</h2>
          <dl class="pairs">
            <div v-for="row in rows" :key="row.id">
              <dt>{{ row.name }}</dt>
              <dd>{{ row.time }}</dd>
            </div>
          </dl>
        </section>
        <section class="own">
          <h2>Name</h2>
          <form class="rename" @submit.prevent="rename">
            <InputText
              v-model="name"
              :aria-label="protocol ? 'Name of the protocol' : 'Name of the piece'"
              :maxlength="textLimits.name"
            />
            <Button type="submit" severity="secondary" outlined label="Rename" :disabled="name.trim() === piece.name" />
          </form>
        </section>
      </div>
    </div>
  </article>
</template>

<style scoped>
.rename {
  display: flex;
  gap: 8px;
}
.rename :deep(input) {
  flex: 1;
}
@media print {
  .own {
    display: none;
  }
}
</style>
