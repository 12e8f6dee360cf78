/** A field that two people filled differently since either saw it last. */
export interface Clash<T> {
  field: keyof T
  mine: T[keyof T]
  theirs: T[keyof T]
}

/** Follows what somebody else changed: untouched fields take it over, fields filled differently by both clash. */
export function follow<T extends object>(mine: T, was: T, theirs: T): { merged: T; clashes: Clash<T>[] } {
  const merged = { ...mine }
  const clashes: Clash<T>[] = []
  for (const field of Object.keys(theirs) as (keyof T)[]) {
    if (mine[field] === was[field]) merged[field] = theirs[field]
    else if (theirs[field] !== was[field] && theirs[field] !== mine[field])
      clashes.push({ field, mine: mine[field], theirs: theirs[field] })
  }
  return { merged, clashes }
}
