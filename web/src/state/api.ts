import {
  conversionSchema,
  entrySchema,
  judgedConversionSchema,
  keptItemSchema,
  keptMeasurementsSchema,
  keptPhotoSchema,
  libraryLineSchema,
  machineLineSchema,
  measuredSchema,
  measurementSchema,
  problemSchema,
  revisionLineSchema,
  revisionSchema,
  ruleWordsSchema,
  shopLineSchema,
  shopSchema,
  takenInSchema,
  whoSchema,
  type NewConversion,
  type NewLogEntries,
  type KeptPhoto,
  type MachineLine,
  type RevisionLine,
  type ShopLine,
  type NewMeasurements,
  type NewPhoto,
  type NewShop,
  type ShopChange,
} from '@zesty/core/http'
import { type LibraryItem } from '@zesty/core/library'
import type { StageId } from '@zesty/core'
import type { Measurement } from '@zesty/core/measurements'
import { logEntrySchema } from '@zesty/core/record'
import {
  createApi,
  fetchBaseQuery,
  type FetchBaseQueryError,
  type FetchBaseQueryMeta,
} from '@reduxjs/toolkit/query/react'
import type { SerializedError } from '@reduxjs/toolkit'
import { z } from 'zod'
import { fetchOrTake } from './ahead'
import { strangerSeen } from './screenSlice'

const UNKNOWN_FORM = 'The server answered in a form this page does not know. Reload the page.'

const asking = fetchBaseQuery({ baseUrl: '/api/', fetchFn: fetchOrTake })

/** The address of the next page of a list, as the answer says it (RFC 8288). */
const nextOf = (meta: FetchBaseQueryMeta | undefined): string | undefined =>
  /<\/api\/([^>]+)>; rel="next"/.exec(meta?.response?.headers.get('link') ?? '')?.[1]

/** What is asked, and the notice that this device is not let in. */
const knocking: typeof asking = async (args, store, options) => {
  const answer = await asking(args, store, options)
  if (answer.error?.status === 401) store.dispatch(strangerSeen())
  return answer
}

/** Some of a machine's revisions, and the address of those before them. */
interface RevisionPage {
  rows: RevisionLine[]
  next?: string | undefined
}

/** A list whole, page after page: what its rows are, the schema of the answer says. */
async function everyPage(
  first: string,
  ask: (path: string) => ReturnType<typeof knocking>,
): Promise<{ data: unknown[] } | { error: FetchBaseQueryError }> {
  const rows: unknown[] = []
  for (let path: string | undefined = first; path !== undefined;) {
    const { data, error, meta } = await ask(path)
    if (error) return { error }
    rows.push(...(data as unknown[]))
    path = nextOf(meta)
  }
  return { data: rows }
}

type Pages<T> = Promise<{ data: T[] } | { error: FetchBaseQueryError }>

export const api = createApi({
  reducerPath: 'api',
  baseQuery: knocking,
  tagTypes: ['Shop', 'Machine', 'Measurement', 'Log', 'Photo', 'Revision', 'Library', 'Device', 'Person'],
  // An answer of another shape comes from a server of another release.
  catchSchemaFailure: () => ({ status: 'CUSTOM_ERROR' as const, error: UNKNOWN_FORM }),
  endpoints: (b) => ({
    who: b.query({ query: (): string => 'access/me', responseSchema: whoSchema }),
    // They change only with the application.
    rule: b.query({
      query: (id: string) => `rules/${id}`,
      responseSchema: ruleWordsSchema,
      keepUnusedDataFor: 86_400,
    }),
    shops: b.query({
      queryFn: (_: undefined, _api, _extra, ask) => everyPage('shops', ask) as Pages<ShopLine>,
      responseSchema: z.array(shopLineSchema),
      providesTags: ['Shop'],
    }),
    shop: b.query({ query: (id: string) => `shops/${id}`, responseSchema: shopSchema, providesTags: ['Shop'] }),
    newShop: b.mutation({
      query: (body: NewShop) => ({ url: 'shops', method: 'POST', body }),
      responseSchema: shopSchema,
      invalidatesTags: ['Shop'],
    }),
    changeShop: b.mutation({
      query: ({ id, ...body }: ShopChange & { id: string }) => ({ url: `shops/${id}`, method: 'PATCH', body }),
      responseSchema: shopSchema,
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
    machines: b.query({
      queryFn: (shopId: string, _api, _extra, ask) =>
        everyPage(`shops/${shopId}/conversions`, ask) as Pages<MachineLine>,
      responseSchema: z.array(machineLineSchema),
      providesTags: ['Machine'],
      keepUnusedDataFor: 0,
    }),
    newMachine: b.mutation({
      query: ({ shopId, ...body }: NewConversion & { shopId: string }) => ({
        url: `shops/${shopId}/conversions`,
        method: 'POST',
        body,
      }),
      responseSchema: conversionSchema,
      invalidatesTags: ['Machine', 'Shop'],
    }),
    importMachine: b.mutation({
      responseSchema: conversionSchema,
      query: ({ shopId, text }: { shopId: string; text: string }) => ({
        url: `shops/${shopId}/import`,
        method: 'POST',
        body: text,
        headers: { 'content-type': 'application/json' },
      }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    importWhole: b.mutation({
      responseSchema: conversionSchema,
      query: ({ shopId, zip }: { shopId: string; zip: Blob }) => ({
        url: `shops/${shopId}/whole`,
        method: 'POST',
        body: zip,
        headers: { 'content-type': 'application/zip' },
      }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    copyMachine: b.mutation({
      responseSchema: conversionSchema,
      query: (id: string) => ({ url: `conversions/${id}/copy`, method: 'POST' }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    removeMachine: b.mutation<null, string>({
      query: (id) => ({ url: `conversions/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Machine', 'Shop'],
    }),
    conversion: b.query({
      query: ({ id, stage }: { id: string; stage: StageId }) => `conversions/${id}/judged?stage=${stage}`,
      responseSchema: judgedConversionSchema,
      keepUnusedDataFor: 0,
    }),
    revisions: b.infiniteQuery({
      infiniteQueryOptions: {
        initialPageParam: '',
        getNextPageParam: ({ next }: RevisionPage) => next,
      },
      queryFn: async ({ queryArg, pageParam }: { queryArg: string; pageParam: string }, _api, _extra, ask) => {
        const { data, error, meta } = await ask(pageParam === '' ? `conversions/${queryArg}/revisions` : pageParam)
        if (error) return { error }
        return { data: { rows: data as RevisionLine[], next: nextOf(meta) } satisfies RevisionPage }
      },
      responseSchema: z.object({ rows: z.array(revisionLineSchema), next: z.string().optional() }),
      providesTags: ['Revision'],
      keepUnusedDataFor: 0,
    }),
    nameRevision: b.mutation<null, { id: string; revision: number; name: string | null }>({
      query: ({ id, revision, name }) => ({
        url: `conversions/${id}/revisions/${revision}/name`,
        method: 'PUT',
        body: { name },
      }),
      invalidatesTags: ['Revision'],
    }),
    entries: b.query({
      query: (id: string) => `conversions/${id}/entries`,
      responseSchema: z.array(entrySchema),
      keepUnusedDataFor: 0,
    }),
    revision: b.query({
      query: ({ id, revision }: { id: string; revision: number }) => `conversions/${id}/revisions/${revision}`,
      responseSchema: revisionSchema,
    }),
    revisionAt: b.query({
      query: ({ id, moment }: { id: string; moment: string }) => `conversions/${id}/at/${encodeURIComponent(moment)}`,
      responseSchema: revisionSchema,
      keepUnusedDataFor: 0,
    }),
    measurements: b.query({
      queryFn: (id: string, _api, _extra, ask) =>
        everyPage(`conversions/${id}/measurements`, ask) as Pages<Measurement>,
      responseSchema: z.array(measurementSchema),
      providesTags: ['Measurement'],
      keepUnusedDataFor: 0,
    }),
    addMeasurements: b.mutation({
      query: ({ id, measurements }: NewMeasurements & { id: string }) => ({
        url: `conversions/${id}/measurements`,
        method: 'POST',
        body: { measurements },
      }),
      responseSchema: keptMeasurementsSchema,
      invalidatesTags: ['Measurement'],
    }),
    removeMeasurement: b.mutation({
      query: ({ id, measurementId }: { id: string; measurementId: string }) => ({
        url: `conversions/${id}/measurements/${measurementId}`,
        method: 'DELETE',
      }),
      responseSchema: measuredSchema,
      invalidatesTags: ['Measurement'],
    }),
    log: b.query({
      query: (id: string) => `conversions/${id}/log`,
      responseSchema: z.array(logEntrySchema),
      providesTags: ['Log'],
      keepUnusedDataFor: 0,
    }),
    addToLog: b.mutation({
      query: ({ id, entries }: NewLogEntries & { id: string }) => ({
        url: `conversions/${id}/log`,
        method: 'POST',
        body: { entries },
      }),
      responseSchema: z.array(logEntrySchema),
      invalidatesTags: ['Log'],
    }),
    removeFromLog: b.mutation<null, { id: string; entryId: string }>({
      query: ({ id, entryId }) => ({ url: `conversions/${id}/log/${entryId}`, method: 'DELETE' }),
      invalidatesTags: ['Log'],
    }),
    photos: b.query({
      query: (id: string) => `conversions/${id}/photos`,
      responseSchema: z.array(keptPhotoSchema),
      providesTags: ['Photo'],
      keepUnusedDataFor: 0,
    }),
    pagesOfShop: b.query({
      query: (shopId: string) => `shops/${shopId}/photos`,
      responseSchema: z.array(keptPhotoSchema),
      providesTags: ['Photo'],
    }),
    addPhoto: b.mutation<KeptPhoto, { id: string; photo: NewPhoto }>({
      query: ({ id, photo }) => ({ url: `conversions/${id}/photos`, method: 'POST', body: photo }),
      responseSchema: keptPhotoSchema,
      invalidatesTags: ['Photo'],
    }),
    notePhoto: b.mutation<null, { id: string; photoId: string; note: string }>({
      query: ({ id, photoId, note }) => ({
        url: `conversions/${id}/photos/${photoId}/note`,
        method: 'PUT',
        body: { note },
      }),
      invalidatesTags: ['Photo'],
    }),
    removePhoto: b.mutation<null, { id: string; photoId: string }>({
      query: ({ id, photoId }) => ({ url: `conversions/${id}/photos/${photoId}`, method: 'DELETE' }),
      invalidatesTags: ['Photo'],
    }),
    library: b.query({
      query: (shopId: string) => `shops/${shopId}/library`,
      responseSchema: z.array(libraryLineSchema),
      providesTags: ['Library'],
    }),
    keepItem: b.mutation({
      query: ({ shopId, item }: { shopId: string; item: LibraryItem }) => ({
        url: `shops/${shopId}/library`,
        method: 'POST',
        body: item,
      }),
      responseSchema: keptItemSchema,
      invalidatesTags: ['Library'],
    }),
    takeInItems: b.mutation({
      query: ({ shopId, items }: { shopId: string; items: LibraryItem[] }) => ({
        url: `shops/${shopId}/library/many`,
        method: 'POST',
        body: { items },
      }),
      responseSchema: takenInSchema,
      invalidatesTags: ['Library'],
    }),
    addSamples: b.mutation({
      query: (shopId: string) => ({ url: `shops/${shopId}/library/samples`, method: 'POST' }),
      responseSchema: takenInSchema,
      invalidatesTags: ['Library'],
    }),
    changeItem: b.mutation({
      query: ({ id, item }: { id: string; item: LibraryItem }) => ({ url: `library/${id}`, method: 'PUT', body: item }),
      responseSchema: keptItemSchema,
      invalidatesTags: ['Library'],
    }),
    removeItem: b.mutation<null, string>({
      query: (id) => ({ url: `library/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Library'],
    }),
  }),
})

/** What to tell the person about a failed request. */
export function problemText(error: FetchBaseQueryError | SerializedError | undefined): string {
  const problem = problemSchema.safeParse(error && 'data' in error ? error.data : undefined)
  if (problem.success) return problem.data.detail
  if (error && 'status' in error && (error.status === 'FETCH_ERROR' || error.status === 'TIMEOUT_ERROR'))
    return 'The server does not answer. Is ./zesty start still running?'
  if (error && 'status' in error && error.status === 413)
    return 'The file is larger than the server takes: 2 MB, a conversion file 68 MB. Is it the right file?'
  if (error && 'status' in error && error.status === 'CUSTOM_ERROR') return error.error
  return 'Something broke. Try again.'
}
