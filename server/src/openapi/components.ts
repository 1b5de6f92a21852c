import { conversionFileSchema } from '@zesty/core'
import { forStrictReaders, evaluationSchema, withWords } from '@zesty/core/formats'
import {
  changesSaveSchema,
  conflictSchema,
  conversionSchema,
  deviceSchema,
  entrySchema,
  invitationSchema,
  judgedConversionSchema,
  keptItemSchema,
  keptMeasurementsSchema,
  keptPhotoSchema,
  libraryLineSchema,
  machineLineSchema,
  manyItemsSchema,
  measuredSchema,
  measurementSchema,
  newConversionSchema,
  newInvitationSchema,
  newLogEntriesSchema,
  newMeasurementsSchema,
  newPersonSchema,
  newPhotoSchema,
  newShopSchema,
  pairSchema,
  personSchema,
  photoNoteSchema,
  problemSchema,
  restoreSchema,
  revisionLineSchema,
  revisionNameSchema,
  revisionSchema,
  ruleLineSchema,
  ruleWordsSchema,
  saveSchema,
  savedSchema,
  shopChangeSchema,
  shopLineSchema,
  shopSchema,
  signInSchema,
  takenInSchema,
  whoSchema,
} from '@zesty/core/http'
import { libraryItemSchema } from '@zesty/core/library'
import { logEntrySchema } from '@zesty/core/record'
import { z } from 'zod'

const schemas = {
  Shop: shopSchema,
  ShopLine: shopLineSchema,
  NewShop: newShopSchema,
  ShopChange: shopChangeSchema,
  Conversion: conversionSchema,
  JudgedConversion: judgedConversionSchema,
  NewConversion: newConversionSchema,
  Save: saveSchema,
  ChangesSave: changesSaveSchema,
  Saved: savedSchema,
  Restore: restoreSchema,
  ConversionFile: conversionFileSchema,
  MachineLine: machineLineSchema,
  RevisionLine: revisionLineSchema,
  Revision: revisionSchema,
  RevisionName: revisionNameSchema,
  Entry: entrySchema,
  Evaluation: evaluationSchema,
  Measurement: measurementSchema,
  NewMeasurements: newMeasurementsSchema,
  KeptMeasurements: keptMeasurementsSchema,
  Measured: measuredSchema,
  Photo: keptPhotoSchema,
  NewPhoto: newPhotoSchema,
  PhotoNote: photoNoteSchema,
  LogEntry: logEntrySchema,
  NewLogEntries: newLogEntriesSchema,
  LibraryItem: libraryItemSchema,
  KeptItem: keptItemSchema,
  LibraryLine: libraryLineSchema,
  ManyItems: manyItemsSchema,
  TakenIn: takenInSchema,
  Who: whoSchema,
  Pair: pairSchema,
  SignIn: signInSchema,
  NewInvitation: newInvitationSchema,
  Invitation: invitationSchema,
  Device: deviceSchema,
  NewPerson: newPersonSchema,
  Person: personSchema,
  RuleLine: ruleLineSchema,
  RuleWords: ruleWordsSchema,
  Problem: problemSchema,
  Conflict: conflictSchema,
  JsonSchema: z.record(z.string(), z.unknown()),
}

/** The name of the component that a schema is; undefined where it is none. */
export const nameOf = (schema: z.ZodType): string | undefined =>
  Object.entries(schemas).find(([, one]) => one === schema)?.[0]

/** What is sent may leave out what has a default; what is answered has everything. */
const sent = new Set([
  'Pair',
  'SignIn',
  'NewInvitation',
  'NewPerson',
  'NewShop',
  'ShopChange',
  'NewConversion',
  'Save',
  'Restore',
  'RevisionName',
  'NewMeasurements',
  'NewLogEntries',
  'LibraryItem',
  'ManyItems',
])

/** Words of the form that JSON Schema has no keyword for go under names of their own. */
function withFormWords({
  zodSchema,
  jsonSchema,
}: {
  zodSchema: z.core.$ZodType
  jsonSchema: z.core.JSONSchema.BaseSchema
}) {
  withWords({ zodSchema, jsonSchema })
  const { dimension, options, stage } = (z.globalRegistry.get(zodSchema) ?? {}) as Record<string, unknown>
  for (const [key, value] of Object.entries({ dimension, options, stage }))
    if (value !== undefined) jsonSchema[`x-${key}`] = value
}

/** Every schema by its name, as the document carries them. */
export const components = (): Record<string, unknown> =>
  Object.fromEntries(
    Object.entries(schemas).map(([name, schema]) => {
      const json = z.toJSONSchema(schema, {
        target: 'draft-2020-12',
        io: sent.has(name) ? 'input' : 'output',
        metadata: z.registry(),
        override: withFormWords,
      })
      delete json.$schema
      return [name, forStrictReaders(json)]
    }),
  )
