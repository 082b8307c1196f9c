// What a coach can say of a drill in one tap.
export const VOICES = ['works', 'does_not_fit', 'too_hard', 'too_easy', 'not_liked'] as const
