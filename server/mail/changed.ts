import { NO_FIRM, sendMail } from './mail'

/** Tells somebody that their passphrase was changed, should it not have been them. */
export function tellChanged(email: string, firms: { firmId: string }[]): void {
  void sendMail(firms.length === 1 ? firms[0]!.firmId : NO_FIRM, {
    to: email, subject: 'Your sign-in at Upper Deck was changed',
    text: 'Your passphrase was changed just now, and every other session was signed out. If it was not you, ask for a new passphrase at once (“Forgotten?” where you sign in) and tell the owner of your firm.\n',
  }).catch(error => console.error('A mail could not be sent:', error))
}
