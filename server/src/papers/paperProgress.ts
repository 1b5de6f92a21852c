/** How far a paper is: so many of its pieces are through. */
export interface PaperProgress {
  done: number
  of: number
}

/** Told after each piece; what it throws ends the making. */
export type Report = (progress: PaperProgress) => void
