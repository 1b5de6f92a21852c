// What follows from a plan without judging it: for screens that show facts before what judges them is there.
export { known, type Known } from '../conversion/known'
