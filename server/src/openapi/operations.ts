import { AccessController } from '../access/access.controller'
import { ConversionsController } from '../conversions/conversions.controller'
import { SchemaController } from '../conversions/schema.controller'
import { LibraryController } from '../library/library.controller'
import { MeasurementsController } from '../measurements/measurements.controller'
import { PapersController } from '../papers/papers.controller'
import { PhotosController } from '../photos/photos.controller'
import { RecordController } from '../record/record.controller'
import { RulesController } from '../rules/rules.controller'
import { ShopsController } from '../shops/shops.controller'
import { WholeController } from '../whole/whole.controller'
import { operationsOf } from './said'

/** Every operation of the API, as its controllers say it. */
export const operations = operationsOf([
  ShopsController,
  ConversionsController,
  WholeController,
  PapersController,
  MeasurementsController,
  PhotosController,
  RecordController,
  LibraryController,
  AccessController,
  RulesController,
  SchemaController,
])
