declare module '#auth-utils' {
  interface SecureSessionData { firmId: string, sessionId?: string, linkId?: string }
}
export {}
