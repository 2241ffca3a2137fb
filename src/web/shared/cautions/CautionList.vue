<script setup lang="ts">
import { computed } from 'vue'
import { listedCautions } from '#core/cautions'
import type { Practised } from '#core/cautions'
import { cautionBook } from '#library/cautions/book'
import { noCautionListed } from '#words/advice'
import { gradeLeads, gradeLines, propCautionLines } from '#words/cautions'
import CautionMark from './CautionMark.vue'

/** The usual cautions of a practice by grade, worst first; `full` names conditions in full, as on a page. */
const props = defineProps<{ practised: Practised; full?: boolean }>()

const listed = computed(() => listedCautions(props.practised, cautionBook))
const own = computed(() => gradeLines(listed.value.own))
const always = computed(() => gradeLines(listed.value.always))
const ofProps = computed(() => propCautionLines(listed.value.props))
const alwaysCount = computed(() => listed.value.always.length)
</script>

<template>
  <section class="cautions" aria-label="Usual cautions">
    <details v-for="{ grade, who, lines } in own" :key="grade" class="grade" :class="grade">
      <summary>
        <CautionMark :grade="grade" />
        <span class="who"
          ><b>{{ gradeLeads[grade] }}</b> {{ who.length > 0 ? who.join(', ') : 'others named above' }}</span
        >
      </summary>
      <dl>
        <template v-for="line in lines" :key="line.id">
          <dt>{{ full ? line.whoInFull : line.who }}</dt>
          <dd>
            {{ line.instead }}. <small>Why: {{ line.why }} ({{ line.marks }}).</small>
          </dd>
        </template>
      </dl>
    </details>
    <p v-if="own.length === 0" class="none">{{ noCautionListed }}</p>
    <details v-if="ofProps.length > 0" class="grade always">
      <summary>
        <span class="who"><b>Of the props</b> {{ ofProps.length }} more; a prop can be left out</span>
      </summary>
      <dl>
        <template v-for="line in ofProps" :key="line.id">
          <dt>{{ line.lead }} {{ full ? line.whoInFull : line.who }}</dt>
          <dd>
            {{ line.instead }}. <small>Why: {{ line.why }} ({{ line.marks }}).</small>
          </dd>
        </template>
      </dl>
    </details>
    <details v-if="alwaysCount > 0" class="grade always">
      <summary>
        <span class="who"><b>In every pose</b> {{ alwaysCount }} more</span>
      </summary>
      <template v-for="{ grade, lines } in always" :key="grade">
        <h4><CautionMark :grade="grade" /> {{ gradeLeads[grade] }}</h4>
        <dl>
          <template v-for="line in lines" :key="line.id">
            <dt>{{ full ? line.whoInFull : line.who }}</dt>
            <dd>
              {{ line.instead }}. <small>Why: {{ line.why }} ({{ line.marks }}).</small>
            </dd>
          </template>
        </dl>
      </template>
    </details>
    <p class="advice">
      Usual cautions, not medical advice: a doctor or licensed therapist decides.
      <RouterLink :to="{ name: 'cautions' }">About them</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.cautions {
  margin-top: 8px;
}
.grade {
  margin-top: 4px;
  border-left: 4px solid var(--care);
  border-radius: 4px;
  background: var(--care-wash);
}
.grade.avoid {
  border-color: var(--avoid);
  background: var(--avoid-wash);
}
.grade.modify {
  border-color: var(--modify);
  background: var(--modify-wash);
}
.always {
  background: none;
  border-color: var(--line);
}
summary {
  display: flex;
  gap: 7px;
  align-items: baseline;
  padding: 5px 9px;
  cursor: pointer;
  font-size: 15px;
  list-style: none;
}
summary::-webkit-details-marker {
  display: none;
}
summary :deep(.mark) {
  position: relative;
  top: 1px;
}
.who {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
[open] > summary .who {
  -webkit-line-clamp: 1;
}
dl {
  padding: 0 9px 7px 28px;
  font-size: 15px;
}
.always dl {
  padding-left: 12px;
}
dt {
  margin-top: 6px;
  font-weight: 650;
}
h4 {
  display: flex;
  gap: 6px;
  align-items: center;
  margin: 8px 0 0;
  padding-left: 12px;
  font-size: 15px;
  font-weight: 650;
}
small {
  font-size: 14px;
  color: var(--ink-soft);
}
.modify small,
.avoid small {
  color: #4b5854;
}
.none,
.advice {
  margin-top: 6px;
  font-size: 14px;
  color: var(--ink-soft);
}
@media print {
  details::details-content {
    content-visibility: visible;
  }
}
</style>
