/** A price as it is written. */
export const price = (cents: number) => (cents / 100).toFixed(2)
