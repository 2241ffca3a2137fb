<script setup lang="ts">
/** Pairs of a name and a figure, with where the figure comes from. */
defineProps<{ rows: readonly { readonly name: string; readonly figure: string; readonly from?: string }[] }>()
</script>

<template>
  <dl>
    <div v-for="(row, index) in rows" :key="index">
      <dt>
        {{ row.name }} <small v-if="row.from">{{ row.from }}</small>
      </dt>
      <dd>{{ row.figure }}</dd>
    </div>
  </dl>
</template>

<style scoped>
div {
  display: flex;
  justify-content: space-between;
  gap: 14px;
  padding: 1.5px 0;
}
dd {
  font-weight: 650;
  text-align: right;
}
small {
  margin-left: 4px;
  font-size: 13px;
  color: var(--ink-soft);
}
dt {
  white-space: nowrap;
}
</style>
