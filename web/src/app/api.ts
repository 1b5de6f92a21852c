import type { ChainLink, Fault, LibraryItem, MachineKind, NextStep, Plan, StageLine, UnitSystem } from '@zesty/core'
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react'
import type { SerializedError } from '@reduxjs/toolkit'

export interface Shop {
  id: string
  name: string
  units: UnitSystem
  demo: boolean
  machines?: number
}

export interface Conversion {
  id: string
  shopId: string
  revision: number
  plan: Plan
  savedAt: string
}

export interface MachineLine {
  id: string
  name: string
  machineKind?: MachineKind
  /** Of its motor, and the amps it takes from the wall, where they are known. */
  powerW?: number
  inputA?: number
  circuitId?: string
  revision: number
  savedAt: string
  chain: ChainLink[]
  stages: StageLine[]
  stops: number
  watches: number
  next?: NextStep
}

export interface RevisionLine {
  revision: number
  origin: string
  savedAt: string
}

/** An item of the library with the id that the server gave it. */
export type KeptItem = LibraryItem & { id: string }

/** How many items came in anew, and how many replaced one of their name. */
export interface TakenIn {
  added: number
  replaced: number
}

/** What a rule says of itself. */
export interface RuleWords {
  id: string
  title: string
  formula: string
  source: string
}

/** The server's one shape of error. */
export interface Problem {
  status: number
  title: string
  detail: string
  faults?: Fault[]
}

export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api/' }),
  tagTypes: ['Shop', 'Machine', 'Library'],
  endpoints: (b) => ({
    // They change only with the application.
    rule: b.query<RuleWords, string>({ query: (id) => `rules/${id}`, keepUnusedDataFor: 86_400 }),
    shops: b.query<Shop[], undefined>({ query: () => 'shops', providesTags: ['Shop'] }),
    shop: b.query<Shop, string>({ query: (id) => `shops/${id}`, providesTags: ['Shop'] }),
    newShop: b.mutation<Shop, { name: string; units: UnitSystem }>({
      query: (body) => ({ url: 'shops', method: 'POST', body }),
      invalidatesTags: ['Shop'],
    }),
    changeShop: b.mutation<Shop, { id: string; name?: string; units?: UnitSystem }>({
      query: ({ id, ...body }) => ({ url: `shops/${id}`, method: 'PATCH', body }),
      // The units switch must answer at once; the server follows.
      onQueryStarted: async ({ id, ...patch }, { dispatch, queryFulfilled }) => {
        const undo = dispatch(api.util.updateQueryData('shop', id, (shop) => void Object.assign(shop, patch)))
        await queryFulfilled.catch(() => undo.undo())
      },
      invalidatesTags: ['Shop'],
    }),
    removeShop: b.mutation<null, string>({
      query: (id) => ({ url: `shops/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Shop'],
    }),
    machines: b.query<MachineLine[], string>({
      query: (shopId) => `shops/${shopId}/conversions`,
      providesTags: ['Machine'],
      keepUnusedDataFor: 0,
    }),
    newMachine: b.mutation<Conversion, { shopId: string; name: string; machineKind?: MachineKind }>({
      query: ({ shopId, ...body }) => ({ url: `shops/${shopId}/conversions`, method: 'POST', body }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    importMachine: b.mutation<Conversion, { shopId: string; text: string }>({
      query: ({ shopId, text }) => ({
        url: `shops/${shopId}/import`,
        method: 'POST',
        body: text,
        headers: { 'content-type': 'application/json' },
      }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    removeMachine: b.mutation<null, string>({
      query: (id) => ({ url: `conversions/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    conversion: b.query<Conversion, string>({ query: (id) => `conversions/${id}`, keepUnusedDataFor: 0 }),
    revisions: b.query<RevisionLine[], string>({ query: (id) => `conversions/${id}/revisions`, keepUnusedDataFor: 0 }),
    revision: b.query<RevisionLine & { plan: Plan }, { id: string; revision: number }>({
      query: ({ id, revision }) => `conversions/${id}/revisions/${revision}`,
    }),
    library: b.query<KeptItem[], string>({
      query: (shopId) => `shops/${shopId}/library`,
      providesTags: ['Library'],
    }),
    keepItem: b.mutation<KeptItem, { shopId: string; item: LibraryItem }>({
      query: ({ shopId, item }) => ({ url: `shops/${shopId}/library`, method: 'POST', body: item }),
      invalidatesTags: ['Library'],
    }),
    takeInItems: b.mutation<TakenIn, { shopId: string; items: LibraryItem[] }>({
      query: ({ shopId, items }) => ({ url: `shops/${shopId}/library/many`, method: 'POST', body: { items } }),
      invalidatesTags: ['Library'],
    }),
    addSamples: b.mutation<TakenIn, string>({
      query: (shopId) => ({ url: `shops/${shopId}/library/samples`, method: 'POST' }),
      invalidatesTags: ['Library'],
    }),
    changeItem: b.mutation<KeptItem, { id: string; item: LibraryItem }>({
      query: ({ id, item }) => ({ url: `library/${id}`, method: 'PUT', body: item }),
      invalidatesTags: ['Library'],
    }),
    removeItem: b.mutation<null, string>({
      query: (id) => ({ url: `library/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Library'],
    }),
  }),
})

const isProblem = (data: unknown): data is Problem => typeof data === 'object' && data !== null && 'detail' in data

/** What to tell the person about a failed request. */
export function problemText(error: FetchBaseQueryError | SerializedError | undefined): string {
  if (error && 'data' in error && isProblem(error.data)) return error.data.detail
  if (error && 'status' in error && (error.status === 'FETCH_ERROR' || error.status === 'TIMEOUT_ERROR'))
    return 'The server does not answer. Is ./zesty start still running?'
  if (error && 'status' in error && error.status === 413)
    return 'The file is larger than the server takes (2 MB). A conversion file is a few kilobytes; is it the right file?'
  return 'Something broke. Try again.'
}
