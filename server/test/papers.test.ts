import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { CERTIFIES, paperKinds } from '@zesty/core/papers'
import { paperEvents } from '@zesty/core/http'
import { createParser } from 'eventsource-parser'
import ICAL from 'ical.js'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { bytesOf } from './bytesOf'
import { harness, type Harness } from './harness'

let h: Harness
let id: string
beforeAll(async () => {
  h = await harness()
  const shop = (await h.api.post('/api/shops').send({ name: 'Saltpan Row' }).expect(201)).body.id as string
  const demo = JSON.parse(
    readFileSync(fileURLToPath(new URL('../../demo/1-saltpan-row/gap-bed-lathe.json', import.meta.url)), 'utf8'),
  ) as { name?: string }
  id = (await h.api.post(`/api/shops/${shop}/import`).send(demo).expect(201)).body.id
})
afterAll(() => h.close())

/** Text and size of every page, by another program. */
async function pages(pdf: Buffer) {
  const document = await getDocument({ data: new Uint8Array(pdf), useSystemFonts: false }).promise
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, i) => {
      const page = await document.getPage(i + 1)
      const { items } = await page.getTextContent()
      return { text: items.map((item) => ('str' in item ? item.str : '')).join(' '), view: page.view }
    }),
  )
}

describe('papers', () => {
  test.each(Object.keys(paperKinds))(
    '%s prints on A4 and Letter, its text selectable, every page with what it does not certify',
    async (kind) => {
      for (const [size, long] of [
        ['a4', 297],
        ['letter', 279.4],
      ] as const) {
        const { body, headers } = await h.api
          .get(`/api/conversions/${id}/papers/${kind}/${size}`)
          .buffer()
          .parse(bytesOf)
          .expect(200)
        expect(headers['content-type']).toBe('application/pdf')
        expect(headers['content-disposition']).toMatch(/^attachment; /)
        const all = await pages(body as Buffer)
        expect(all.length).toBeGreaterThan(0)
        for (const { text, view } of all) {
          expect(text.replace(/\s+/g, ' ')).toContain(CERTIFIES)
          expect(Math.max(...view) / (72 / 25.4)).toBeCloseTo(long, 1)
        }
      }
    },
  )
  test('hold what they are for', async () => {
    const text = async (kind: string) =>
      (
        await pages(
          (await h.api.get(`/api/conversions/${id}/papers/${kind}/a4`).buffer().parse(bytesOf)).body as Buffer,
        )
      )
        .map((page) => page.text)
        .join(' ')
    expect(await text('bench')).toMatch(/Wire list[\s\S]*Settings card[\s\S]*Run-in sheet[\s\S]*Bare motor at base/)
    expect(await text('machine')).toMatch(
      /Speeds[\s\S]*When the belt is moved[\s\S]*Emergency stop[\s\S]*Check bar: 100 mm/,
    )
    expect(await text('help')).toMatch(/Plates and wall[\s\S]*What is wrong, and what is not known/)
    expect(await text('owner')).toMatch(/Loose ends[\s\S]*Upkeep/)
  })
  test('tells how far it is to whoever asks, and then hands the PDF over', async () => {
    const { text, headers } = await h.api
      .get(`/api/conversions/${id}/papers/owner/a4`)
      .set('accept', 'text/event-stream')
      .buffer()
      .parse(bytesOf)
      .expect(200)
      .then(({ body, headers }) => ({ text: (body as Buffer).toString(), headers: headers }))
    expect(headers['content-type']).toMatch(/^text\/event-stream/)
    const events: { event: string | undefined; data: unknown }[] = []
    createParser({ onEvent: ({ event, data }) => events.push({ event, data: JSON.parse(data) }) }).feed(text)
    const last = events.pop()
    const told = events.map(({ event, data }) => ({ event, ...paperEvents.progress.parse(data) }))
    const [first] = told
    expect(told.map(({ event, done, of }) => [event, done, of])).toEqual(
      Array.from({ length: first?.of ?? 0 }, (_, i) => ['progress', i + 1, first?.of]),
    )
    expect(told.length).toBeGreaterThan(4)
    expect(last?.event).toBe('paper')
    const { name, pdf } = paperEvents.paper.parse(last?.data)
    expect(name).toBe('Gap-bed lathe, east bay, for the next owner')
    expect((await pages(Buffer.from(pdf, 'base64')))[0]?.text).toContain('Gap-bed lathe, east bay')
    await h.api
      .get('/api/conversions/5a7e4f0e-3a54-4d5b-9a3e-400000000099/papers/owner/a4')
      .set('accept', 'text/event-stream')
      .expect(404)
  })
  test('one that does not exist is refused', async () => {
    await h.api.get(`/api/conversions/${id}/papers/poster/a4`).expect(400)
    await h.api.get(`/api/conversions/${id}/papers/help/a0`).expect(400)
  })
  test('the help sheet is one page without script, in which nothing that was typed is markup', async () => {
    await h.api
      .post(`/api/conversions/${id}/log`)
      .send({
        entries: [
          {
            id: '5a7e4f0e-3a54-4d5b-9a3e-400000000001',
            kind: 'note',
            text: '<script>alert(1)</script>',
            at: '2026-03-01T10:00:00.000Z',
          },
        ],
      })
      .expect(201)
    const { text, headers } = await h.api.get(`/api/conversions/${id}/help-sheet`).buffer().expect(200)
    expect(headers['content-disposition']).toMatch(/^attachment; /)
    expect(text).toContain('&lt;script&gt;alert(1)&lt;/script&gt;')
    expect(text).not.toMatch(/<script|onerror|javascript:/i)
  })
})

test('days come as iCalendar, lines folded and ended as RFC 5545 has it', async () => {
  const { body: conversion } = await h.api.get(`/api/conversions/${id}`).expect(200)
  const plan = {
    ...conversion.plan,
    wiring: {
      ...conversion.plan.wiring,
      sendBackBy: '2026-12-24',
      parts: { glands: { state: 'ordered', expectedOn: '2026-12-05' } },
    },
  }
  await h.api.put(`/api/conversions/${id}`).send({ baseRevision: conversion.revision, plan }).expect(200)
  const { text, headers } = await h.api.get(`/api/conversions/${id}/calendar`).buffer().expect(200)
  expect(headers['content-type']).toMatch(/^text\/calendar/)
  const lines = text.split('\r\n')
  expect(lines[0]).toBe('BEGIN:VCALENDAR')
  expect(lines.filter((l) => l !== '').every((l) => Buffer.byteLength(l) <= 75)).toBe(true)
  // Opened by another program: two days, each of one whole day.
  const events = new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e))
  expect(events.map((e) => [e.startDate.toString(), e.startDate.isDate, e.duration.toString()]).sort()).toEqual([
    ['2026-12-05', true, 'P1D'],
    ['2026-12-24', true, 'P1D'],
  ])
  expect(events.map((e) => e.summary).sort()).toEqual([
    'Gap-bed lathe, east bay: buy last day to send parts back',
    'Gap-bed lathe, east bay: wait for cable glands',
  ])
})
