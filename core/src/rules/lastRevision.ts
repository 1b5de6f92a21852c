/** Databases count no further: what is numbered later is none. */
export const LAST_REVISION = 2_147_483_647
