// What goes over the wire, as schemas.
export {
  type Device,
  type DeviceRights,
  deviceSchema,
  type Invitation,
  invitationSchema,
  type NewInvitation,
  newInvitationSchema,
  type NewPerson,
  newPersonSchema,
  type Pair,
  pairSchema,
  type Person,
  rightsOfDevices,
  personSchema,
  type SignIn,
  signInSchema,
  type Who,
  whoSchema,
} from '../http/access'
export {
  type ChangesSave,
  changesSaveSchema,
  type KeptConversion,
  type OpenedAt,
  openedAtSchema,
  type Saved,
  savedSchema,
  type SentParts,
  conversionSchema,
  type Entry,
  entrySchema,
  judgedConversionSchema,
  type NewConversion,
  newConversionSchema,
  type Restore,
  restoreSchema,
  type RevisionLine,
  revisionLineSchema,
  type RevisionName,
  revisionNameSchema,
  momentParameterSchema,
  revisionParameterSchema,
  revisionSchema,
  saveSchema,
  type UnreadSave,
  unreadSaveSchema,
} from '../http/conversion'
export {
  type KeptItem,
  type LibraryLine,
  libraryLineSchema,
  type UnreadableItem,
  keptItemSchema,
  type ManyItems,
  manyItemsSchema,
  type TakenIn,
  takenInSchema,
} from '../http/libraryAnswers'
export {
  isReadable,
  type MachineLine,
  machineLineSchema,
  type ReadableLine,
  type UnreadableLine,
} from '../http/machineLine'
export { paperEvents, paperKindParameterSchema, paperSizeParameterSchema, type PaperEvents } from '../http/papers'
export { type NewLogEntries, newLogEntriesSchema } from '../http/log'
export {
  keptMeasurementsSchema,
  measurementSchema,
  type NewMeasurements,
  newMeasurementsSchema,
} from '../http/measurements'
export {
  type KeptPhoto,
  keptPhotoSchema,
  type NewPhoto,
  newPhotoSchema,
  type PhotoNote,
  photoNoteSchema,
} from '../http/photos'
export {
  type CarriedPhoto,
  LARGEST_CONVERSION_FILE,
  LARGEST_PHOTO,
  LONGEST_SIDE,
  MOST_PHOTO_BYTES,
  type Photo,
  type PhotoSubject,
  photoSubjects,
} from '../photos/photo'
export { measuredSchema } from '../measurements/measured'
export { conflictSchema, type Problem, problemSchema } from '../http/problem'
export { ruleLineSchema, ruleWordsSchema } from '../http/ruleWords'
export {
  type NewShop,
  newShopSchema,
  type Shop,
  type ShopLine,
  type ShopChange,
  shopChangeSchema,
  shopLineSchema,
  shopSchema,
} from '../http/shop'
export { isKeptMoment } from '../rules/moment'
export { LAST_REVISION } from '../rules/lastRevision'
