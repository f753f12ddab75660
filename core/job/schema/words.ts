/** What every fact of a noun is called when a person is told that it changed: a fact without words is an error of types. */
export type WordsOf<T> = Record<keyof T, string>
