import { type PipeTransform } from '@nestjs/common'
import { faultsOf } from '@zesty/core/rules'
import type { z } from 'zod'
import { badInput } from './problem'

/** Validates a body or parameter by a Zod schema, or answers 400 with every fault by field. */
export class ZodPipe<T> implements PipeTransform<unknown, T> {
  constructor(readonly schema: z.ZodType<T>) {}

  transform(value: unknown): T {
    const parsed = this.schema.safeParse(value)
    if (!parsed.success) throw badInput(faultsOf(parsed.error, value))
    return parsed.data
  }
}
