import { z } from 'zod'
import { nameText, text } from '../rules/text'

/** What a device may do: all; or read, measure and tick; or look. */
export const rightsOfDevices = ['all', 'measure', 'look'] as const

export const deviceRights = z.enum(rightsOfDevices)

/** A way in for one device, or for whoever is shown one machine. */
export const newInvitationSchema = z.strictObject({
  rights: deviceRights,
  /** The one machine that may be looked at; every machine where none is named. */
  conversionId: z.uuid().optional(),
})

/** The way in, told once: six words, and the same as an address and as a picture for a phone's camera. */
export const invitationSchema = z.strictObject({
  words: z.string(),
  address: z.string(),
  /** SVG. */
  qr: z.string(),
  expiresAt: z.iso.datetime(),
  /** SHA-256 of the certificate that the device will be shown; none where the way is not encrypted. */
  fingerprint: z.string().optional(),
})

export const pairSchema = z.strictObject({ words: text(200), deviceName: nameText(60) })

export const signInSchema = z.strictObject({ name: nameText(60), passphrase: text(200), deviceName: nameText(60) })

/** Shorter ones are guessed too soon, however few attempts there are. */
export const newPersonSchema = z.strictObject({
  name: nameText(60),
  passphrase: text(200).min(10),
  rights: deviceRights,
})

export const personSchema = z.strictObject({ id: z.uuid(), name: z.string(), rights: deviceRights })

export const deviceSchema = z.strictObject({
  id: z.uuid(),
  name: z.string(),
  /** Who signed in on it, where somebody did. */
  person: z.string().optional(),
  rights: deviceRights,
  conversionId: z.uuid().optional(),
  pairedAt: z.iso.datetime(),
  lastSeenAt: z.iso.datetime(),
})

/** Who asks: somebody at the computer itself, or a device of the shop's network. */
export const whoSchema = z.strictObject({
  at: z.enum(['computer', 'network']),
  name: z.string(),
  rights: deviceRights,
  /** The one machine that may be looked at. */
  conversionId: z.uuid().optional(),
  /** Where other machines reach this server; none where it answers to the computer alone. */
  address: z.string().optional(),
})

export type DeviceRights = z.output<typeof deviceRights>
export type NewInvitation = z.output<typeof newInvitationSchema>
export type Invitation = z.output<typeof invitationSchema>
export type Pair = z.output<typeof pairSchema>
export type SignIn = z.output<typeof signInSchema>
export type NewPerson = z.output<typeof newPersonSchema>
export type Person = z.output<typeof personSchema>
export type Device = z.output<typeof deviceSchema>
export type Who = z.output<typeof whoSchema>
