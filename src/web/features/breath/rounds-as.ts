import type { RoundsSection } from '#model/section'
import type { FieldsOf } from '#core/session'

/** Ways a section of rounds goes through the body that keep each other out [settled A2]. */
type Ways = Pick<RoundsSection, 'stations' | 'nostrils' | 'steps'>

/**
 * Fields of a section of rounds with one of these ways set: places for the hands have rounds of their own, and go with
 * neither nostrils nor steps nor a slope.
 */
export const roundsAs = (section: RoundsSection, ways: FieldsOf<Ways>): FieldsOf<RoundsSection> =>
  ways.stations
    ? { ...ways, amount: undefined, nostrils: undefined, steps: undefined, slope: undefined }
    : {
        ...ways,
        ...(section.stations && (ways.nostrils ?? ways.steps) ? { stations: undefined, shown: undefined } : {}),
      }
