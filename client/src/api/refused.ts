/** Problem details as the server sends them. */
export interface Problem {
  title?: string | null
  errors?: Record<string, string[]>
  requestId?: string
}

/** What the server refused, with what is wrong by field. */
export class RefusedError extends Error {
  readonly fields: Record<string, string[]>

  constructor(
    problem: Problem,
    readonly status = 0,
  ) {
    // A fault of the server's is found in its log by this number.
    const number = status >= 500 && problem.requestId ? ` (request ${problem.requestId})` : ''
    super((problem.title ?? `The server answered ${status}.`) + number)
    this.fields = problem.errors ?? {}
  }
}

/** What was said about one field, for the line under it. */
export function saidOf(error: unknown, path: string): string[] {
  return error instanceof RefusedError ? (error.fields[path] ?? []) : []
}

/** The refusal in one line where the fields say the rest beside them; what belongs to no field is added. */
export function titleOf(error: unknown): string | null {
  if (!(error instanceof Error)) return null
  return once([error.message, ...saidOf(error, '$')])
}

/** The whole refusal in one line, fields included, for where no field is near. */
export function wholeOf(error: unknown): string | null {
  if (!(error instanceof Error)) return null
  return once([error.message, ...(error instanceof RefusedError ? Object.values(error.fields).flat() : [])])
}

/** A refusal of one thing has that thing as its title: it is said once. */
const once = (said: string[]) => [...new Set(said)].join(' ')
