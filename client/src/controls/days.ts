const day = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })
const moment = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
})

/** A promised day, such as 2026-11-27, as it stands on a tag. */
export function asDay(iso: string): string {
  return day.format(new Date(`${iso}T12:00:00`))
}

/** A moment in the log. */
export function asMoment(iso: string): string {
  return moment.format(new Date(iso))
}

/** A day from now, as a date field wants it. */
export function dayFromNow(days: number): string {
  const date = new Date()
  date.setDate(date.getDate() + days)
  const two = (n: number) => String(n).padStart(2, '0')
  return `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`
}
