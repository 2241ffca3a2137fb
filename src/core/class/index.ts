export { dealAtHome, lacksAtHome, thingsOf } from './at-home.ts'
export type { AtHome } from './at-home.ts'
export { checkClass, elsewhere, firstTalk, leftOf } from './check-class.ts'
export type { BesideClass, ClassCode, ClassFacts, ClassLook, ClassNoticed } from './check-class.ts'
export { posesToDeal, stockOf, takenOf } from './dealing.ts'
export { fetchedAlike, fetchedByAll, fetching, fetchList } from './fetching.ts'
export type { FetchedAlike, FetchFor, FetchItem, FetchList, Fetching } from './fetching.ts'
export { laidIn, piecesByKind } from './laid.ts'
export type { Laid } from './laid.ts'
export {
  bodyOfPerson,
  comingTo,
  guestsOf,
  isLateInPregnancy,
  laidByPeople,
  roomOf,
  stillTaken,
  theOne,
  touching,
} from './people.ts'
export type { LaidFor } from './people.ts'
export { fittedTo, forHeights } from './heights.ts'
export type { Fitted, ForHeight, ForHeightsInput } from './heights.ts'
export { ledger } from './ledger.ts'
export type { LedgerInput, LedgerRow } from './ledger.ts'
export { floorWanted, roomPlan, teacherCm } from './room.ts'
export type { FloorWanted, OnFloor, PointOnFloor, RoomPlan } from './room.ts'
export { allocate, dealOut } from './allocate/allocate.ts'
export type { AllocateInput, Allocation, Given, GivenItems, ShortKind } from './allocate/allocate.ts'
export type { PersonThere, PoseOfPerson } from './allocate/poses.ts'
export { waysFor } from './allocate/ways.ts'
export type { Replaced, SetUpsOf, Stock, Way, WayOfSetUp } from './allocate/ways.ts'
export { comersOf, isMinor, posesIn } from './forms/comers.ts'
export type { Comer, PastClass } from './forms/comers.ts'
export { isAsPlanned, isFree } from './forms/as-planned.ts'
export { nearness } from './forms/choices.ts'
export type { Choice, Nearness } from './forms/choices.ts'
export type { Nest } from './forms/nest.ts'
export type { WayCost } from './forms/route.ts'
export { whoTakesWhat } from './forms/who-takes-what.ts'
export type { PersonThrough, Taking } from './forms/who-takes-what.ts'
export { askAgain, isAsked } from './forms/ask-again.ts'
export type { OldAnswer } from './forms/ask-again.ts'
export { laidByForm } from './forms/laid-by-form.ts'
export type { LaidByForm } from './forms/laid-by-form.ts'
export { isOfPeople } from './forms/check-people.ts'
