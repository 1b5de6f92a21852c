import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { autosave } from '../conversion/autosave'
import { planReducer } from '../conversion/planSlice'
import { api } from './api'
import { screenReducer } from './screenSlice'

export const store = configureStore({
  reducer: { plan: planReducer, screen: screenReducer, [api.reducerPath]: api.reducer },
  middleware: (defaults) =>
    defaults({ serializableCheck: false, immutableCheck: false }).prepend(autosave.middleware).concat(api.middleware),
})

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()
