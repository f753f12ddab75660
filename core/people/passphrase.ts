const SHORTEST_PASSPHRASE = 12
const LONGEST_PASSPHRASE = 200
/** What is said under a field in which a passphrase is chosen, and of one that is too short. */
export const PASSPHRASE_HINT = `At least ${SHORTEST_PASSPHRASE} signs: four or five words that don’t belong together are easy to keep and hard to guess.`

/** Words that many choose first; a passphrase that is made of them alone is guessed first. */
const usual = ['password', 'passphrase', 'passwort', 'letmein', 'welcome', 'admin', 'administrator', 'qwerty', 'qwertyuiop', 'asdfghjkl', 'iloveyou', 'solar', 'roof', 'upperdeck', 'upper', 'deck', 'monkey', 'dragon', 'football', 'summer', 'winter', 'spring', 'autumn', 'secret', 'changeme', 'master', 'hello', 'login', 'user', 'test']

/**
 * What is wrong with a passphrase, or an empty text. Length counts, not which signs are in it (NIST SP 800-63B 5.1.1.2, OWASP ASVS 4.0.3 V2.1).
 * @param about what is known of the person, as the address and the firm's name: no passphrase is made of these alone
 */
export function passphraseProblem(passphrase: string, about: string[] = []): string {
  if ([...passphrase].length < SHORTEST_PASSPHRASE) return PASSPHRASE_HINT
  if ([...passphrase].length > LONGEST_PASSPHRASE) return `At most ${LONGEST_PASSPHRASE} signs.`
  if (new Set(passphrase).size < 5) return 'Too few different signs: this is guessed quickly.'
  const known = [...usual, ...about.flatMap(one => one.toLowerCase().split(/[^\p{L}\p{N}]+/u)).filter(one => one.length > 2)].sort((a, b) => b.length - a.length)
  const rest = known.reduce((left, word) => left.replaceAll(word, ''), passphrase.toLowerCase()).replace(/[^\p{L}]/gu, '')
  // A row of keys or of the alphabet is no words.
  if (rest.length < 4 || 'abcdefghijklmnopqrstuvwxyz'.includes(rest) || 'qwertyuiopasdfghjklzxcvbnm'.includes(rest)) return 'This is made of what is guessed first: usual words, your name, the firm’s, rows of keys. Take words that nobody connects with you.'
  return ''
}
