import { DataTypes } from 'sequelize'
import type {
  CreationOptional,
  InferAttributes,
  InferCreationAttributes,
  Model,
  ModelStatic,
  Sequelize,
} from 'sequelize'

import { firstTeacherId } from '#model/teacher'

type Row<M extends Model> = Model<InferAttributes<M>, InferCreationAttributes<M>>

export interface SessionRow extends Row<SessionRow> {
  id: string
  name: string
  practice: string
  lengthS: number
  version: number
  document: string
  savedAt: Date
  archivedAt: Date | null
  deletedAt: Date | null
  isTemplate: CreationOptional<boolean>
  ownerId: CreationOptional<string>
}
export interface HistoryRow extends Row<HistoryRow> {
  id: CreationOptional<number>
  sessionId: string
  version: number
  reason: string
  document: string
  keptAt: Date
}
export interface NoteRow extends Row<NoteRow> {
  name: string
  value: string
}
export interface PlaceRow extends Row<PlaceRow> {
  id: string
  name: string
  lengthUnit: string
  rooms: string
  version: number
  isUsual: boolean
  atCupboard: number | null
  freeUntil: string | null
  timeZone: string | null
  /** Lines, as JSON. */
  emergency: string | null
}
export interface CupboardRow extends Row<CupboardRow> {
  id: string
  placeId: string
  kind: string
  count: number
  sizeMm: string | null
}
export interface PersonRow extends Row<PersonRow> {
  id: string
  name: string
  version: number
  document: string
  ownerId: CreationOptional<string>
}

export interface PlannedClassRow extends Row<PlannedClassRow> {
  id: string
  sessionId: string
  placeId: string
  day: string
  isLed: boolean
  version: number
  document: string
  ownerId: CreationOptional<string>
}

export interface ShownSessionRow extends Row<ShownSessionRow> {
  /** A colleague's copy. */
  copyId: string
  sessionId: string
  ownerId: string
  toId: string
  toName: string
  shownAt: Date
}
export interface RemarkRow extends Row<RemarkRow> {
  id: string
  sessionId: string
  blockId: string
  /** Whose session it is. */
  ownerId: string
  byId: string
  byName: string
  text: string
  saidAt: Date
}

export interface SeriesRow extends Row<SeriesRow> {
  id: string
  name: string
  baseId: string
  version: number
  document: string
  ownerId: CreationOptional<string>
}

export interface LongDayRow extends Row<LongDayRow> {
  id: string
  name: string
  version: number
  document: string
  ownerId: CreationOptional<string>
}

export interface LedClassRow extends Row<LedClassRow> {
  id: string
  sessionId: string
  startedAt: Date
  endedAt: Date | null
  people: number
  name: string
  plannedS: number
  ledS: number
  document: string
  /** 1 for a record of the first edition, whose document is its own whole former self. */
  format: number
  conductedMs: number
  left: boolean
  isAbout: boolean
  visits: string | null
  note: string | null
  breath: CreationOptional<string | null>
  /** What it teaches, once it ended and was asked. */
  seenTimes: CreationOptional<string | null>
  drift: CreationOptional<string | null>
  incident: CreationOptional<string | null>
  practice: CreationOptional<string | null>
  placeId: CreationOptional<string | null>
  deletedAt: CreationOptional<Date | null>
  version: number
  /** The device that leads, how it is called, and until when it counts as doing so without being heard of. */
  leadsBy: CreationOptional<string | null>
  leadsName: CreationOptional<string | null>
  leadsUntil: CreationOptional<Date | null>
  /** The colleague who led it, where it was handed over and came back. */
  ledBy: CreationOptional<string | null>
  ownerId: CreationOptional<string>
}

export interface LedAsideRow extends Row<LedAsideRow> {
  id: CreationOptional<number>
  classId: string
  document: string
}

export interface ObservedMarkRow extends Row<ObservedMarkRow> {
  id: string
  classId: string
  by: string
  name: string
  atMs: number
  text: string
}

export interface DeviceRow extends Row<DeviceRow> {
  id: string
  name: string
  kind: string
  tokenHash: string
  pairedAt: Date
  seenAt: Date
  ownerId: CreationOptional<string>
}

export interface LedEventRow extends Row<LedEventRow> {
  classId: string
  n: number
  by: string
  event: string
  ownerId: CreationOptional<string>
}

export interface SoundRow extends Row<SoundRow> {
  id: string
  name: string
  use: string
  type: string
  bytes: number
  lengthMs: number
  ownerId: CreationOptional<string>
}

export interface VoiceRow extends Row<VoiceRow> {
  id: string
  sessionId: string
  text: string
  type: string
  bytes: number
  lengthMs: number
  savedAt: Date
  heard: Buffer
}

export interface OwnThingRow extends Row<OwnThingRow> {
  kind: string
  id: string
  name: string
  version: number
  document: string
  savedAt: Date
  schema: number
  /** Out of sight since then; it goes when nothing names it any more. */
  hiddenAt: Date | null
  ownerId: CreationOptional<string>
}

export interface SettingsRow extends Row<SettingsRow> {
  ownerId: CreationOptional<string>
  version: number
  document: string
}

export interface TeacherRow extends Row<TeacherRow> {
  id: string
  name: string
  /** The name as it is compared. */
  nameKey: string
  role: string
  secretHash: string | null
  codeHash: string | null
  codeUntil: Date | null
  addedAt: Date
  closedAt: Date | null
  version: number
}

export interface SignInRow extends Row<SignInRow> {
  tokenHash: string
  teacherId: string
  madeAt: Date
  seenAt: Date
}

export interface SignInTryRow extends Row<SignInTryRow> {
  key: string
  wrong: number
  at: Date
  closedUntil: Date | null
}

/** A code by which one device of a teacher's is let in. */
export interface PairingCodeRow extends Row<PairingCodeRow> {
  ownerId: string
  kind: string
  digits: string
  until: Date
}

/** What somebody told another teacher than the one whose page of them it is. */
export interface PersonToldRow extends Row<PersonToldRow> {
  personId: string
  ownerId: string
  document: string
}

export interface Models {
  readonly sessions: ModelStatic<SessionRow>
  readonly history: ModelStatic<HistoryRow>
  readonly notes: ModelStatic<NoteRow>
  readonly places: ModelStatic<PlaceRow>
  readonly cupboard: ModelStatic<CupboardRow>
  readonly people: ModelStatic<PersonRow>
  readonly peopleTold: ModelStatic<PersonToldRow>
  readonly plannedClasses: ModelStatic<PlannedClassRow>
  readonly series: ModelStatic<SeriesRow>
  readonly longDays: ModelStatic<LongDayRow>
  readonly ledClasses: ModelStatic<LedClassRow>
  readonly ledEvents: ModelStatic<LedEventRow>
  readonly ledAsides: ModelStatic<LedAsideRow>
  readonly observedMarks: ModelStatic<ObservedMarkRow>
  readonly devices: ModelStatic<DeviceRow>
  readonly sounds: ModelStatic<SoundRow>
  readonly voices: ModelStatic<VoiceRow>
  readonly ownThings: ModelStatic<OwnThingRow>
  readonly settings: ModelStatic<SettingsRow>
  readonly teachers: ModelStatic<TeacherRow>
  readonly signIns: ModelStatic<SignInRow>
  readonly signInTries: ModelStatic<SignInTryRow>
  readonly pairingCodes: ModelStatic<PairingCodeRow>
  readonly shownSessions: ModelStatic<ShownSessionRow>
  readonly remarks: ModelStatic<RemarkRow>
}

// Made anew for each column: Sequelize writes the column's name into what it is given.
const key = () => ({ type: DataTypes.STRING(64), primaryKey: true })
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false })
const short = () => ({ type: DataTypes.STRING(120), allowNull: false })
const instant = () => ({ type: DataTypes.DATE, allowNull: false })
const owner = () => ({ type: DataTypes.STRING(64), allowNull: false, defaultValue: firstTeacherId })
const maybeInstant = () => ({ type: DataTypes.DATE, allowNull: true })

/** The tables as Sequelize models; their columns are made by the migrations, never by sync. */
export function defineModels(sequelize: Sequelize): Models {
  const plain = (tableName: string) => ({ tableName, timestamps: false })
  return {
    sessions: sequelize.define<SessionRow>(
      'session',
      {
        id: key(),
        name: short(),
        practice: short(),
        lengthS: whole(),
        version: whole(),
        document: text(),
        savedAt: instant(),
        archivedAt: maybeInstant(),
        deletedAt: maybeInstant(),
        isTemplate: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
        ownerId: owner(),
      },
      plain('sessions'),
    ),
    history: sequelize.define<HistoryRow>(
      'sessionHistory',
      {
        id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true },
        sessionId: short(),
        version: whole(),
        reason: short(),
        document: text(),
        keptAt: instant(),
      },
      plain('sessionHistory'),
    ),
    notes: sequelize.define<NoteRow>('note', { name: key(), value: short() }, plain('notes')),
    places: sequelize.define<PlaceRow>(
      'place',
      {
        ...{ id: key(), name: short(), lengthUnit: short(), rooms: text(), version: whole() },
        isUsual: { type: DataTypes.BOOLEAN, allowNull: false },
        atCupboard: { type: DataTypes.INTEGER, allowNull: true },
        freeUntil: { type: DataTypes.STRING(5), allowNull: true },
        timeZone: { type: DataTypes.STRING(60), allowNull: true },
        emergency: { type: DataTypes.TEXT, allowNull: true },
      },
      plain('places'),
    ),
    cupboard: sequelize.define<CupboardRow>(
      'cupboardItem',
      { id: key(), placeId: short(), kind: short(), count: whole(), sizeMm: { type: DataTypes.TEXT, allowNull: true } },
      plain('cupboardItems'),
    ),
    people: sequelize.define<PersonRow>(
      'person',
      { id: key(), name: short(), version: whole(), document: text(), ownerId: owner() },
      plain('people'),
    ),
    plannedClasses: sequelize.define<PlannedClassRow>(
      'plannedClass',
      {
        ...{ id: key(), sessionId: short(), placeId: short(), day: short(), version: whole(), document: text() },
        isLed: { type: DataTypes.BOOLEAN, allowNull: false },
        ownerId: owner(),
      },
      plain('classPlans'),
    ),
    series: sequelize.define<SeriesRow>(
      'series',
      { id: key(), name: short(), baseId: short(), version: whole(), document: text(), ownerId: owner() },
      plain('series'),
    ),
    longDays: sequelize.define<LongDayRow>(
      'longDay',
      { id: key(), name: short(), version: whole(), document: text(), ownerId: owner() },
      plain('longDays'),
    ),
    ledClasses: sequelize.define<LedClassRow>(
      'ledClass',
      {
        id: key(),
        sessionId: short(),
        startedAt: instant(),
        endedAt: maybeInstant(),
        people: whole(),
        name: short(),
        plannedS: whole(),
        ledS: whole(),
        document: text(),
        format: whole(),
        conductedMs: whole(),
        left: { type: DataTypes.BOOLEAN, allowNull: false },
        isAbout: { type: DataTypes.BOOLEAN, allowNull: false },
        visits: { type: DataTypes.TEXT, allowNull: true },
        note: { type: DataTypes.TEXT, allowNull: true },
        breath: { type: DataTypes.TEXT, allowNull: true },
        seenTimes: { type: DataTypes.TEXT, allowNull: true },
        drift: { type: DataTypes.TEXT, allowNull: true },
        incident: { type: DataTypes.TEXT, allowNull: true },
        practice: { type: DataTypes.STRING(40), allowNull: true },
        placeId: { type: DataTypes.STRING(64), allowNull: true },
        deletedAt: maybeInstant(),
        version: whole(),
        leadsBy: { type: DataTypes.STRING(64), allowNull: true },
        leadsName: { type: DataTypes.STRING(120), allowNull: true },
        leadsUntil: maybeInstant(),
        ledBy: { type: DataTypes.STRING(120), allowNull: true },
        ownerId: owner(),
      },
      plain('ledClasses'),
    ),
    ledAsides: sequelize.define<LedAsideRow>(
      'ledAside',
      { id: { type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true }, classId: short(), document: text() },
      plain('ledAsides'),
    ),
    observedMarks: sequelize.define<ObservedMarkRow>(
      'observedMark',
      { id: key(), classId: short(), by: short(), name: short(), atMs: whole(), text: text() },
      plain('observedMarks'),
    ),
    sounds: sequelize.define<SoundRow>(
      'sound',
      { id: key(), name: short(), use: short(), type: short(), bytes: whole(), lengthMs: whole(), ownerId: owner() },
      plain('sounds'),
    ),
    voices: sequelize.define<VoiceRow>(
      'voice',
      {
        ...{ id: key(), sessionId: short(), text: text(), type: short(), bytes: whole(), lengthMs: whole() },
        ...{ savedAt: instant(), heard: { type: DataTypes.BLOB, allowNull: false } },
      },
      plain('voices'),
    ),
    devices: sequelize.define<DeviceRow>(
      'device',
      {
        id: key(),
        name: short(),
        kind: short(),
        tokenHash: short(),
        pairedAt: instant(),
        seenAt: instant(),
        ownerId: owner(),
      },
      plain('devices'),
    ),
    settings: sequelize.define<SettingsRow>(
      'settings',
      { ownerId: { ...owner(), primaryKey: true }, version: whole(), document: text() },
      plain('settings'),
    ),
    ledEvents: sequelize.define<LedEventRow>(
      'ledEvent',
      {
        classId: key(),
        n: { type: DataTypes.INTEGER, primaryKey: true },
        by: short(),
        event: text(),
        ownerId: owner(),
      },
      plain('ledEvents'),
    ),
    ownThings: sequelize.define<OwnThingRow>(
      'ownThing',
      {
        kind: key(),
        id: key(),
        name: short(),
        version: whole(),
        document: text(),
        savedAt: instant(),
        schema: whole(),
        hiddenAt: maybeInstant(),
        ownerId: owner(),
      },
      plain('ownThings'),
    ),
    peopleTold: sequelize.define<PersonToldRow>(
      'personTold',
      { personId: key(), ownerId: key(), document: text() },
      plain('peopleTold'),
    ),
    ...teacherModels(sequelize),
    ...shownModels(sequelize),
  }
}

/** Who teaches, and where each is signed in. */
function teacherModels(sequelize: Sequelize): Pick<Models, 'teachers' | 'signIns' | 'signInTries' | 'pairingCodes'> {
  const plain = (tableName: string) => ({ tableName, timestamps: false })
  const maybeHash = () => ({ type: DataTypes.STRING(300), allowNull: true })
  return {
    teachers: sequelize.define<TeacherRow>(
      'teacher',
      {
        ...{ id: key(), name: short(), nameKey: short(), role: short(), version: whole() },
        ...{ secretHash: maybeHash(), codeHash: maybeHash(), codeUntil: maybeInstant() },
        ...{ addedAt: instant(), closedAt: maybeInstant() },
      },
      plain('teachers'),
    ),
    signIns: sequelize.define<SignInRow>(
      'signIn',
      { tokenHash: key(), teacherId: short(), madeAt: instant(), seenAt: instant() },
      plain('signIns'),
    ),
    pairingCodes: sequelize.define<PairingCodeRow>(
      'pairingCode',
      { ownerId: key(), kind: short(), digits: short(), until: instant() },
      plain('pairingCodes'),
    ),
    signInTries: sequelize.define<SignInTryRow>(
      'signInTry',
      { key: key(), wrong: whole(), at: instant(), closedUntil: maybeInstant() },
      plain('signInTries'),
    ),
  }
}

/** What teachers show each other, and what is said of it. */
function shownModels(sequelize: Sequelize): Pick<Models, 'shownSessions' | 'remarks'> {
  const plain = (tableName: string) => ({ tableName, timestamps: false })
  return {
    shownSessions: sequelize.define<ShownSessionRow>(
      'shownSession',
      { copyId: key(), sessionId: short(), ownerId: owner(), toId: short(), toName: short(), shownAt: instant() },
      plain('shownSessions'),
    ),
    remarks: sequelize.define<RemarkRow>(
      'remark',
      {
        ...{ id: key(), sessionId: short(), blockId: short(), ownerId: owner(), byId: short(), byName: short() },
        ...{ text: text(), saidAt: instant() },
      },
      plain('remarks'),
    ),
  }
}
