import 'reflect-metadata'
import { HTTP_CODE_METADATA, METHOD_METADATA, PATH_METADATA, ROUTE_ARGS_METADATA } from '@nestjs/common/constants.js'
import { RequestMethod, type Type } from '@nestjs/common'
import { RouteParamtypes } from '@nestjs/common/enums/route-paramtypes.enum.js'
import type { z } from 'zod'
import { ZodPipe } from '../problems/zod.pipe'

export const tags = {
  Shops: 'Workshops and how they like to read numbers',
  Conversions: 'One machine’s change to variable speed, and every revision of it',
  Measurements: 'What was read off a machine, beside its plan',
  Photos: 'What was photographed at a machine, and pages of manuals',
  Record: 'A machine’s log: what happened, what it cost, what was looked after',
  Library: 'Motors, drives and circuits that a shop keeps',
  Access: 'Devices of the shop’s network: letting them in, and who is',
  Rules: 'What the rules of the product say of themselves',
  Formats: 'The schemas of files that travel',
} as const

/** What an operation of the API says of itself beyond what its route says already. */
export interface Words {
  id: string
  may: May
  /** What somebody who is let in to see one machine may ask it of; of nothing, unless it says. */
  one?: 'machine' | 'shop' | 'anything'
  tag: keyof typeof tags
  summary: string
  /** What is answered, in words. */
  says: string
  /** Name of the component that is answered. */
  answer?: string
  list?: true
  picture?: true
  /** A file to be kept, of that kind. */
  file?: string
  /** Name of the component that the body must be, where it is not read by its schema at once. */
  body?: string
  /** The body is a ZIP. */
  zip?: true
  /** What may be answered instead, beside what every body and every question may be refused with. */
  errors?: readonly (400 | 404 | 409 | 413 | 422 | 429)[]
}

/**
 * Who may ask it from another machine: a stranger too, whoever is let in whatever their rights, who may look, who may
 * measure besides, who may do all; or nobody, since it is done at the computer itself.
 */
export type May = 'a stranger' | 'whoever is let in' | 'look' | 'measure' | 'all' | 'the computer'

const WORDS = Symbol('words of an operation')

/** Says what an operation does, at its route: its method, path, status, body and questions are read off the route itself. */
export const Said =
  (words: Words): MethodDecorator =>
  (_target, _name, descriptor) =>
    Reflect.defineMetadata(WORDS, words, descriptor.value as object)

/** What a route said of itself, if it did. */
export const wordsOf = (handler: object): Words | undefined => Reflect.getMetadata(WORDS, handler) as Words | undefined

/** One operation of the API: what it says of itself, and what its route says. */
export interface Operation extends Words {
  method: 'get' | 'post' | 'put' | 'patch' | 'delete'
  /** As the router has it, parameters in braces. */
  path: string
  status: number
  /** What is read as the body, and as the questions behind the path. */
  reads?: z.ZodType
  asks?: z.ZodType
}

/** The arguments of a route as Nest keeps them: by what each is, with its pipes. */
type Arguments = Record<string, { pipes?: unknown[] }>

/** Every operation of some controllers. Throws where a route says nothing of itself. */
export const operationsOf = (controllers: readonly Type[]): Operation[] =>
  controllers.flatMap((controller) => {
    const { prototype } = controller as { prototype: Record<string, object> }
    return Object.getOwnPropertyNames(prototype).flatMap((name): Operation[] => {
      const handler = prototype[name] as object
      const method = Reflect.getMetadata(METHOD_METADATA, handler) as RequestMethod | undefined
      if (name === 'constructor' || method === undefined) return []
      const words = wordsOf(handler)
      if (!words) throw new Error(`${controller.name}.${name} says nothing of itself`)
      const parts = [controller, handler].map((at) => Reflect.getMetadata(PATH_METADATA, at) as string)
      const path = `/${parts
        .map((part) => part.replace(/^\/|\/$/g, ''))
        .filter(Boolean)
        .join('/')}`
      const status = Reflect.getMetadata(HTTP_CODE_METADATA, handler) as number | undefined
      const args = (Reflect.getMetadata(ROUTE_ARGS_METADATA, controller, name) ?? {}) as Arguments
      const [reads, asks] = [schemaOf(args, RouteParamtypes.BODY), schemaOf(args, RouteParamtypes.QUERY)]
      return [
        {
          ...words,
          method: RequestMethod[method].toLowerCase() as Operation['method'],
          path: path.replace(/:(\w+)/g, '{$1}'),
          status: status ?? (method === RequestMethod.POST ? 201 : 200),
          ...(reads ? { reads } : {}),
          ...(asks ? { asks } : {}),
        },
      ]
    })
  })

function schemaOf(args: Arguments, kind: RouteParamtypes): z.ZodType | undefined {
  const [, argument] = Object.entries(args).find(([key]) => key.startsWith(`${kind}:`)) ?? []
  const pipe = argument?.pipes?.find((one) => one instanceof ZodPipe)
  return pipe?.schema
}
