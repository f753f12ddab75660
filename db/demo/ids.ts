/** The demo firm. Fixed, so that a demo visitor can be signed in before anything has been read from the database. */
export const DEMO_FIRM_ID = '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a0001'
/** Whoever leads the demo firm's crew. */
export const DEMO_LEAD = { id: '6a1f0c1e-5b0e-4a0c-9d57-0d4f6f9a1002', name: 'Dabney Thrift' }
