import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { Paper } from '#formats/sheets/pdf'
import { useHouse } from '#web/shared/house/use-house.ts'

/** The paper sheets are made for in this browser: as it was chosen, else as the place's lengths are: inches go with Letter. */
export function usePaper() {
  const { unit } = useHouse()
  const chosen = useLocalStorage<Paper | ''>('zovrin.paper', '')
  return computed<Paper>({
    get: () => chosen.value || (unit.value === 'in' ? 'LETTER' : 'A4'),
    set: (paper) => (chosen.value = paper),
  })
}
