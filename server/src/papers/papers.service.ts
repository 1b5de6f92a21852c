import { Inject, Injectable } from '@nestjs/common'
import { fitMeasurements, type Measurement } from '@zesty/core/measurements'
import { paperKinds, tasksFor, type PaperInput, type PaperKind } from '@zesty/core/papers'
import type { Task } from '@zesty/core/wiring'
import { conversion } from '@zesty/core'
import type { Paper as PaperSize } from '@zesty/pdf'
import { eq } from 'drizzle-orm'
import { ConversionsService, type Conversion } from '../conversions/conversions.service'
import { DATABASE, type Database } from '../db/database'
import { photos, shops } from '../db/schema'
import { measurementsAsText } from '../measurements/storedMeasurements'
import { photosOf } from '../photos/storedPhotos'
import { notFound } from '../problems/problem'
import { logOf } from '../record/storedLog'
import { calendarOf } from './calendar'
import type { PaperJob } from './paperJob'
import type { Report } from './paperProgress'
import { PAPER_MAKER, type PaperMaker } from './paperMaker'
import type { PrintedPhoto } from './printPaper'

/** Photos on one paper: the latest of them, or it is a book. */
const MOST_PHOTOS = 24

/** A paper that is not made yet: what it will be called, and what makes it. */
export interface ToBeMade {
  name: string
  make: (report: Report, signal: AbortSignal) => Promise<Uint8Array>
}

/** Papers of a machine as files: PDF, the help sheet as a page too, and its days as a calendar. */
@Injectable()
export class PapersService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(PAPER_MAKER) private readonly maker: PaperMaker,
    private readonly conversions: ConversionsService,
  ) {}

  async pdf(id: string, kind: PaperKind, size: PaperSize) {
    const { conversion, input } = await this.input(id)
    const seen = kind === 'help' || kind === 'as-found' ? await this.photos(id) : []
    return this.toBeMade(conversion, kind, { as: 'pdf', kind, size, input, photos: seen })
  }

  async helpSheet(id: string) {
    const { conversion, input } = await this.input(id)
    return this.toBeMade(conversion, 'help', { as: 'page', input, photos: await this.photos(id) })
  }

  private toBeMade({ plan }: Conversion, kind: PaperKind, job: PaperJob): ToBeMade {
    return {
      name: `${plan.name}, ${paperKinds[kind].toLowerCase()}`,
      make: (report: Report, signal: AbortSignal) => this.maker(job, report, signal),
    }
  }

  async calendar(id: string) {
    const { conversion, input } = await this.input(id)
    return { name: `${conversion.plan.name}, days`, text: calendarOf(conversion.plan.name, tasks(input)) }
  }

  private async input(id: string): Promise<{ conversion: Conversion; input: PaperInput }> {
    const conversion = await this.conversions.find(id)
    const [shop] = await this.db.select().from(shops).where(eq(shops.id, conversion.shopId))
    if (!shop) throw notFound('shop')
    const { text } = await measurementsAsText(this.db, id)
    return {
      conversion,
      input: {
        plan: conversion.plan,
        readings: JSON.parse(text) as Measurement[],
        log: await logOf(this.db, id),
        units: shop.units,
        shop: shop.name,
        today: new Date().toISOString().slice(0, 10),
      },
    }
  }

  private async photos(id: string): Promise<PrintedPhoto[]> {
    const all = await photosOf(this.db, eq(photos.conversionId, id))
    return all
      .slice(-MOST_PHOTOS)
      .map(({ note, takenAt, jpeg }) => ({ note: note ?? takenAt.slice(0, 10), jpeg: Buffer.from(jpeg, 'base64') }))
  }
}

/** What is still to be done at the machine. */
function tasks({ plan, readings, log, today }: PaperInput): Task[] {
  return tasksFor(conversion(plan, { readings: fitMeasurements(readings) }), { readings, log, today })
}
