/**
 * What is remembered, so that nothing is worked out twice from the very same facts. All of it follows from its facts alone:
 * forgetting it costs time and changes nothing.
 */
export * from './bounded'
export * from './once'
