import { demoRoles, roleWords } from '#core/people'
import { postIs } from '../mail/mail'

/** How this office is entered, for whoever is not signed in: by passphrase, and in the demo as one of its people. */
export default defineEventHandler(() => ({
  demo: useRuntimeConfig().demo ? demoRoles.map(role => ({ role, ...roleWords[role] })) : [],
  post: postIs(),
}))
