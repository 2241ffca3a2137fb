<script setup lang="ts">
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import { useTemplateRef } from 'vue'
import { figureAsPng, figureAsSvg } from '#web/shared/figures/save-figure.ts'
import { download, fileName } from '#web/shared/ui/download.ts'

/** The picture that is looked at, as a file: with what is measured in it, or the figure alone. */
const props = defineProps<{ name: string; figure: () => SVGSVGElement | null | undefined }>()
const emit = defineEmits<{ told: [words: string] }>()
const menu = useTemplateRef('menu')

async function save(kind: 'svg' | 'png', withMeasures: boolean): Promise<void> {
  const svg = props.figure()
  if (!svg) return
  if (kind === 'svg') {
    download(figureAsSvg(svg, withMeasures), fileName(props.name, 'svg'), 'image/svg+xml')
    return
  }
  const png = await figureAsPng(svg, withMeasures)
  if (png) download(png, fileName(props.name, 'png'), 'image/png')
  else emit('told', 'This browser cannot paint it as PNG: save it as SVG.')
}

const items = (['svg', 'png'] as const).flatMap((kind) =>
  [true, false].map((withMeasures) => ({
    label: `${kind.toUpperCase()}, ${withMeasures ? 'with measures' : 'the figure alone'}`,
    command: () => void save(kind, withMeasures),
  })),
)
</script>

<template>
  <Button
    size="small"
    text
    severity="secondary"
    icon="pi pi-download"
    label="Save"
    aria-label="Save the picture"
    aria-haspopup="true"
    @click="menu?.toggle($event)"
  />
  <Menu ref="menu" :model="items" popup aria-label="Save the picture" />
</template>
