/** Who may do what in a firm: roles, rights, and what an edit asks of whoever makes it. */
export { editRefusal, type EditNeed, isFieldChange, needOf } from './edits'
export { type Figure, figuresIn, figuresOf, sameFigure, typesFigure } from './figures'
export { demoRoles, may, refusalOf, type Right, type Role, roles, roleWords } from './rights'
export { PASSPHRASE_HINT, passphraseProblem } from './passphrase'
export type { SignedIn } from './signed-in'
