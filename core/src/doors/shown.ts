// What stages show beside the evaluation: parts of a conversion by name, as they are made and as they are sent.
export { partsOfStage, shownParts, type ShownPart, type ShownParts } from '../shown/shownParts'
