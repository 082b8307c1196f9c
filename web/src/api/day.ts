// Which day is it, when the server was asked for it some days ago?

const civil = (at: number) => {
  const day = new Date(at)
  return Date.UTC(day.getFullYear(), day.getMonth(), day.getDate())
}

/** The academy's day now: the day that the server said, and as many on as have begun on this device since. */
export function dayNow(said: string, readAt: number): string {
  const passed = Math.max(0, civil(Date.now()) - civil(readAt))
  return new Date(Date.parse(said) + passed).toISOString().slice(0, 10)
}
