/** A figure below nothing, or above it again, by one key. */
export const signTurned = (text: string): string => (text.startsWith('-') ? text.slice(1) : `-${text}`);
