/** What a trade can say of a laid-out face or job, in plain data: findings, marks, parts, shapes, and what a hand can take hold of. */
export * from './ask'
export * from './finding'
export * from './mark'
export * from './part'
export * from './ref'
export * from './says'
export * from './selectable'
export * from './shape'
