/** The app's own mark, served as it is. Bound rather than written into a template, so that no build step takes it for an import. */
export const MARK = '/favicon.svg'
