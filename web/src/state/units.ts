import type { UnitSystem } from '@zesty/core'
import { createContext, useContext } from 'react'

/** Units in which amounts are shown below it. */
export const UnitsScope = createContext<UnitSystem>('metric')

/** Units as the shop prefers them. */
export const useUnits = (): UnitSystem => useContext(UnitsScope)
