import type { PropKind } from '#model/prop'

/** What a prop is drawn as, of what is told apart by its ink; what is none of these is a blanket or a line. */
export const materials: Readonly<Partial<Record<PropKind, 'bolster' | 'block'>>> = {
  ...{ rectBolster: 'bolster', roundBolster: 'bolster', seatCushion: 'bolster' },
  ...{ foamBlock: 'block', corkBlock: 'block', book: 'block', chair: 'block', sofa: 'block' },
}
