import { nanoid } from '@reduxjs/toolkit'

/** An id for a new list item; short, and never used again. */
export const newId = (): string => nanoid(8)
