// @ts-check
import { existsSync, readdirSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { homeFolder } from './cluster.mjs'
import { local } from './paths.mjs'
import { handOver, ownFolder, serviceMay } from './serviceUser.mjs'

/**
 * Where backups that are made by themselves lie: beside the data where that has a place of its own, or where the service
 * user cannot enter the project. Told before root is dropped, once.
 */
let folderOfBackups = ''
export const backupFolder = () =>
  (folderOfBackups ||=
    process.env.ZESTY_DATA || !serviceMay('x', local) ? join(homeFolder(), 'backups') : join(local, 'backups'))

const DAY_MS = 86_400_000
const DAYS_KEPT = 7
const WEEKS_KEPT = 4
const NAME = /^(\d{4}-\d\d-\d\dT\d\d-\d\d-\d\d)Z-([a-z-]+)\.jsonl$/

/** While we may still be root: the service user makes backups from here on. */
export function prepareBackups() {
  ownFolder(backupFolder())
  for (const { file } of listBackups()) handOver(file)
}

/** @typedef {{file: string, made: Date, why: string, bytes: number}} Kept */

/** What a backup of now is called, by why it is made. @param {'daily' | 'before-restore' | 'before-migration'} why @param {Date} [now] */
export function nameNow(why, now = new Date(), folder = backupFolder()) {
  ownFolder(folder)
  return join(folder, `${now.toISOString().slice(0, 19).replace(/:/g, '-')}Z-${why}.jsonl`)
}

/** Every backup made by itself, newest first. @param {string} [folder] @returns {Kept[]} */
export function listBackups(folder = backupFolder()) {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name) => {
      const [, stamp, why] = NAME.exec(name) ?? []
      if (!stamp || !why) return []
      const made = new Date(`${stamp.slice(0, 10)}T${stamp.slice(11).replace(/-/g, ':')}Z`)
      const file = join(folder, name)
      return [{ file, made, why, bytes: statSync(file).size }]
    })
    .sort((a, b) => b.made.getTime() - a.made.getTime())
}

/**
 * Those that may go: all but those of the last seven days, and of the four weeks before one each, the newest.
 * @template {{made: Date}} K
 * @param {readonly K[]} newestFirst @param {Date} now @returns {K[]}
 */
export function outlived(newestFirst, now) {
  const weeks = new Set()
  return newestFirst.filter(({ made }) => {
    const days = (now.getTime() - made.getTime()) / DAY_MS
    if (days < DAYS_KEPT) return false
    const week = Math.floor((days - DAYS_KEPT) / 7)
    if (week >= WEEKS_KEPT || weeks.has(week)) return true
    weeks.add(week)
    return false
  })
}

/** @param {Date} [now] */
export function clearOutlived(now = new Date()) {
  for (const { file } of outlived(listBackups(), now)) rmSync(file, { force: true })
}
