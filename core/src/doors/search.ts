// The search for motor, drive and pulleys that bear the jobs.
export { whyFirst } from '../search/explain'
export { type Relaxation, relaxations } from '../search/relaxations'
export type { Combination } from '../search/combination'
export { search, type SearchState } from '../search/search'
export { type SearchCriteria, type SearchKey, searchKeys, usualCriteria } from '../search/searchCriteria'
export { searchSpace } from '../search/space'
export { takeCombination } from '../search/takeCombination'
