declare module '#auth-utils' {
  interface SecureSessionData { firmId: string, sessionId: string }
}
export {}
