import {
  deviceSchema,
  invitationSchema,
  personSchema,
  type NewInvitation,
  type NewPerson,
  type Pair,
  type SignIn,
} from '@zesty/core/http'
import { z } from 'zod'
import { api } from '../state/api'

/** What only the screens of devices ask; it comes with them. */
export const accessApi = api.injectEndpoints({
  endpoints: (b) => ({
    leave: b.mutation<null, undefined>({ query: () => ({ url: 'access/me', method: 'DELETE' }) }),
    pair: b.mutation<null, Pair>({ query: (body) => ({ url: 'access/pair', method: 'POST', body }) }),
    signIn: b.mutation<null, SignIn>({ query: (body) => ({ url: 'access/sign-in', method: 'POST', body }) }),
    invite: b.mutation({
      query: (body: NewInvitation) => ({ url: 'access/invitations', method: 'POST', body }),
      responseSchema: invitationSchema,
    }),
    devices: b.query({
      query: (): string => 'access/devices',
      responseSchema: z.array(deviceSchema),
      providesTags: ['Device'],
    }),
    withdraw: b.mutation<null, string>({
      query: (id) => ({ url: `access/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Device'],
    }),
    people: b.query({
      query: (): string => 'access/people',
      responseSchema: z.array(personSchema),
      providesTags: ['Person'],
    }),
    addPerson: b.mutation({
      query: (body: NewPerson) => ({ url: 'access/people', method: 'POST', body }),
      responseSchema: personSchema,
      invalidatesTags: ['Person'],
    }),
    removePerson: b.mutation<null, string>({
      query: (id) => ({ url: `access/people/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Person', 'Device'],
    }),
  }),
})
