/** Today by this device's own calendar, ISO 8601. */
export function today(): string {
  const now = new Date()
  const two = (n: number): string => String(n).padStart(2, '0')
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`
}
