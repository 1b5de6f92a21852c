// The published JSON Schemas.
export { evaluationSchema } from '../evaluate/evaluationSchema'
export { forStrictReaders } from '../formats/forStrictReaders'
export { jsonSchemas, schemaNames } from '../formats/jsonSchemas'
export { withWords } from '../formats/withWords'
export {
  LARGEST_WHOLE,
  photoFile,
  readWhole,
  WHOLE_DOCUMENT,
  WHOLE_FORMAT,
  type Whole,
  type ZipFiles,
} from '../formats/wholeFile'
