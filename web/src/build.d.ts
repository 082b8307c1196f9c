/** The form of the interface's answers, from the build. */
declare const __API_FORM__: string
