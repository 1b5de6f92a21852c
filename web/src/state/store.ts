import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector, useStore } from 'react-redux'
import { autosaving } from './autosave'
import { planReducer } from './planSlice'
import { api } from './api'
import { judgingReducer } from './judging'
import { screenReducer } from './screenSlice'

export const store = configureStore({
  reducer: { plan: planReducer, screen: screenReducer, judging: judgingReducer, [api.reducerPath]: api.reducer },
  middleware: (defaults) =>
    defaults({ serializableCheck: false, immutableCheck: false }).prepend(autosaving()).concat(api.middleware),
})

export type RootState = ReturnType<typeof store.getState>
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>()
export const useAppSelector = useSelector.withTypes<RootState>()
export const useAppStore = useStore.withTypes<typeof store>()
