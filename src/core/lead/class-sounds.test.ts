import { asChosen, usualClassSounds } from './index.ts'

const { bowl } = usualClassSounds

describe('the sounds of a class as they are chosen', () => {
  it('are as they are written where nothing is set', () => {
    const struck = { kind: 'bowl', strokes: 3 } as const
    expect(asChosen(struck, usualClassSounds)).toEqual(struck)
  })

  it('a bell may be a tone that is held, as loud as it was set, and as often', () => {
    const held = { ...usualClassSounds, bowl: { kind: 'heldTone', loudness: 75 } } as const
    expect(asChosen({ kind: 'bowl', strokes: 3 }, held)).toEqual({ kind: 'heldTone', strokes: 3, gain: 1.5 })
    expect(asChosen({ kind: 'lowBell', strokes: 1 }, held)).toEqual({ kind: 'lowBell', strokes: 1 })
  })

  it('a bell may be a sound of the teacher’s own; without one it is the bell itself', () => {
    const own = { ...usualClassSounds, bowl: { kind: 'own', loudness: 25, soundId: 'gong' } } as const
    expect(asChosen({ kind: 'bowl', strokes: 2 }, own)).toEqual({
      ...{ kind: 'own', soundId: 'gong', instead: 'bowl', strokes: 2, gain: 0.5 },
    })
    const gone = { ...usualClassSounds, bowl: { kind: 'own', loudness: 50 } } as const
    expect(asChosen({ kind: 'bowl', strokes: 2 }, gone)).toEqual({ kind: 'bowl', strokes: 2 })
  })

  it('a tick keeps the loudness its breath has, and is as loud besides as ticks are', () => {
    const soft = { ...usualClassSounds, wood: { kind: 'tap', loudness: 25 } } as const
    expect(asChosen({ kind: 'wood', strokes: 1, gain: 0.5 }, soft)).toEqual({ kind: 'tap', strokes: 1, gain: 0.25 })
  })

  it('nothing is heard of what is silent, and what breathes has sounds of its own', () => {
    const silent = {
      bowl: { ...bowl, kind: 'none' },
      lowBell: { ...bowl, loudness: 0 },
      wood: usualClassSounds.wood,
    } as const
    expect(asChosen({ kind: 'bowl', strokes: 1 }, silent)).toBeUndefined()
    expect(asChosen({ kind: 'lowBell', strokes: 1 }, silent)).toBeUndefined()
    const tone = { kind: 'tone', from: 0, to: 1, lengthMs: 4000, gain: 1 } as const
    expect(asChosen(tone, silent)).toBe(tone)
  })
})
