// What is being written, kept on this device until it is saved.
import type { Drill } from './queries'

const place = (id: string) => `jogo.drill.${id}`

export function kept(id: string): Drill | null {
  try {
    return JSON.parse(localStorage.getItem(place(id)) ?? 'null') as Drill | null
  } catch {
    return null
  }
}

export const keep = (id: string, drill: Drill) => localStorage.setItem(place(id), JSON.stringify(drill))
export const forget = (id: string) => localStorage.removeItem(place(id))
