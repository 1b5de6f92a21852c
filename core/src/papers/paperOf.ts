import { paperKinds, type Paper, type PaperKind, type PaperPart } from './paper'
import { sheetsPart, wireListPart, cardPart, runInPart } from './benchParts'
import { speedsPart, dialPart, stopPart } from './machineParts'
import { platesPart, readBackPart, foundPart } from './plateParts'
import { recordPart, unknownPart, loosePart, upkeepPart } from './recordParts'
import { paperSource, type PaperInput, type PaperSource } from './source'

/** The parts of each paper, in the order they are read. */
const partsOf: Readonly<Record<PaperKind, readonly ((source: PaperSource) => PaperPart)[]>> = {
  bench: [sheetsPart, wireListPart, cardPart, runInPart],
  machine: [speedsPart, stopPart, dialPart],
  'as-found': [foundPart, platesPart, photosPart],
  help: [platesPart, wireListPart, readBackPart, unknownPart, recordPart, photosPart],
  owner: [platesPart, speedsPart, cardPart, readBackPart, loosePart, upkeepPart, recordPart],
}

function photosPart(): PaperPart {
  return { title: 'Photos', blocks: [{ kind: 'photos' }] }
}

/** How many parts a paper has. */
export const partCount = (kind: PaperKind): number => partsOf[kind].length

/** A paper's parts one after the other, so that whoever makes it can stop between them. */
export function* paperParts(kind: PaperKind, input: PaperInput): Generator<PaperPart> {
  const source = paperSource(input)
  for (const make of partsOf[kind]) yield make(source)
}

/** What a paper is called, and how it lies, before its parts are made. */
export const paperHead = (kind: PaperKind, { plan, shop, today }: PaperInput): Omit<Paper, 'parts'> => ({
  kind,
  title: `${plan.name}: ${paperKinds[kind].toLowerCase()}. ${shop}, ${today}`,
  upright: kind !== 'bench',
})

/** A whole paper, its parts made one after the other. */
export const paperOf = (kind: PaperKind, input: PaperInput): Paper => ({
  ...paperHead(kind, input),
  parts: [...paperParts(kind, input)],
})
