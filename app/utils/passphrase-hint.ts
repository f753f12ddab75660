/** What is said under a field in which a passphrase is chosen. */
export const PASSPHRASE_HINT = 'At least 12 signs. Four or five words that don’t belong together are easy to keep and hard to guess.'
