// What goes over the wire, as schemas.
export {
  type Conversion,
  conversionSchema,
  judgedConversionSchema,
  type NewConversion,
  newConversionSchema,
  type Restore,
  restoreSchema,
  revisionLineSchema,
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
export { conflictSchema, type Problem, problemSchema } from '../http/problem'
export { ruleLineSchema, ruleWordsSchema } from '../http/ruleWords'
export {
  type NewShop,
  newShopSchema,
  type Shop,
  type ShopChange,
  shopChangeSchema,
  shopLineSchema,
  shopSchema,
} from '../http/shop'
