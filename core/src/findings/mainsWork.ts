/** Who may do work on the mains. */
export const MAINS_WORK = 'mains work: by whoever the code where you live allows it'
