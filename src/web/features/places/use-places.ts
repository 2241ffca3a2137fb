import { createSharedComposable } from '@vueuse/core'
import { nanoid } from 'nanoid'
import { computed, ref } from 'vue'
import type { CupboardItem, Place, Room } from '#model/place'
import type { PropKind } from '#model/prop'
import { withFields } from '#core/session'
import type { FieldsOf } from '#core/session'
import { usualCupboard } from '#library/usual-cupboard'
import { usePlacesStore } from '#web/shared/house/places-store.ts'

type Wall = Room['walls'][number]
type Size = NonNullable<CupboardItem['sizeMm']>

/** A room nobody measured yet, mm. */
const aRoom = (name: string): Room => ({ id: nanoid(8), name, lengthMm: 8000, widthMm: 6000, walls: [] })

/** The places, the one that is looked at, and every change of it. */
export const usePlaces = createSharedComposable(() => {
  const store = usePlacesStore()
  const chosenId = ref<string>()
  const chosen = computed(() => store.places.find(({ id }) => id === chosenId.value) ?? store.places[0])
  const change = (by: { readonly [K in keyof Place]?: Place[K] | undefined }): void => {
    if (chosen.value) void store.put(withFields<Place>(chosen.value, by))
  }
  const setCupboard = (cupboard: readonly CupboardItem[]): void => {
    change({ cupboard: [...cupboard] })
  }
  const setRooms = (make: (rooms: readonly Room[]) => readonly Room[]): void => {
    if (chosen.value) change({ rooms: [...make(chosen.value.rooms)] })
  }
  const inRoom = (id: string, make: (room: Room) => Room): void => {
    setRooms((rooms) => rooms.map((room) => (room.id === id ? make(room) : room)))
  }
  return {
    ...{ store, chosen, change },
    unit: computed(() => chosen.value?.lengthUnit ?? 'cm'),
    choose: (id: string): void => {
      chosenId.value = id
    },
    async add(name: string): Promise<void> {
      const cupboard = usualCupboard.map((item) => ({ ...item, id: nanoid() }))
      const place: Place = { id: nanoid(), name, lengthUnit: 'cm', rooms: [aRoom('The room')], cupboard }
      if (await store.put(place)) chosenId.value = place.id
    },
    ...cupboardActs(() => chosen.value?.cupboard ?? [], setCupboard),
    addRoom: (): void => {
      setRooms((rooms) => [...rooms, aRoom(`Room ${String(rooms.length + 1)}`)])
    },
    setRoom: (id: string, by: FieldsOf<Room>): void => {
      inRoom(id, (room) => withFields<Room>(room, by))
    },
    removeRoom: (id: string): void => {
      setRooms((rooms) => rooms.filter((room) => room.id !== id))
    },
    addWall: (id: string): void => {
      inRoom(id, (room) => ({
        ...room,
        walls: [...room.walls, { id: nanoid(8), name: `Wall ${String(room.walls.length + 1)}`, freeMm: room.lengthMm }],
      }))
    },
    setWall: (id: string, wallId: string, by: FieldsOf<Wall>): void => {
      inRoom(id, (room) => ({
        ...room,
        walls: room.walls.map((wall) => (wall.id === wallId ? withFields<Wall>(wall, by) : wall)),
      }))
    },
    removeWall: (id: string, wallId: string): void => {
      inRoom(id, (room) => ({ ...room, walls: room.walls.filter((wall) => wall.id !== wallId) }))
    },
  }
})

/** Every change of what a cupboard has. */
function cupboardActs(now: () => readonly CupboardItem[], set: (cupboard: readonly CupboardItem[]) => void) {
  const change = (id: string, make: (item: CupboardItem) => CupboardItem): void => {
    set(now().map((item) => (item.id === id ? make(item) : item)))
  }
  return {
    addItem: (kind: PropKind): void => {
      set([...now(), { id: nanoid(), kind, count: 1 }])
    },
    setCount: (id: string, count: number): void => {
      change(id, (item) => ({ ...item, count }))
    },
    /** One side of its size, or as is usual again. */
    setSize: (id: string, side: keyof Size, mm: number | undefined): void => {
      change(id, (item) =>
        withFields<CupboardItem>(item, { sizeMm: withFields<Size>(item.sizeMm ?? {}, { [side]: mm }) }),
      )
    },
    removeItem: (id: string): void => {
      set(now().filter((item) => item.id !== id))
    },
    replaceAll: (items: readonly Omit<CupboardItem, 'id'>[]): void => {
      set(items.map((item) => ({ ...item, id: nanoid() })))
    },
  }
}
