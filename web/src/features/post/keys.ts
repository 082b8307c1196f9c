/** By which keys the post room asks. */
export const postKeys = { letters: ['post', 'letters'] } as const
