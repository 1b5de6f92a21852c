// Writes CSV: fetched when somebody asks for it.
export { partsCsv, scheduleCsv } from '@zesty/core/wiring'
