/** The judgement calls: what breaks a rule, by how much, and what would put it right. */
export * from './finding'
export * from './draft'
export { engineerFindings, framingFindings } from './loads'
export { onceFindings } from './once'
export { checkWords } from './strength'
export { roofFindings } from './roof'
export * from './site'
