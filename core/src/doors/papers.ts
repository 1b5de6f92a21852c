// Papers by where they are read: their parts as data, which the server prints.
export { CERTIFIES, paperKinds, type Block, type PaperKind, type PaperPart } from '../papers/paper'
export { paperHead, paperOf, paperParts, partCount } from '../papers/paperOf'
export { paperHtml, type PagePhoto } from '../papers/paperHtml'
export { tasksFor } from '../papers/tasksFor'
export { type PaperInput } from '../papers/source'
