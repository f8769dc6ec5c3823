/** Small things kept on the device. What does not read any more, or no longer fits in, is not worth a broken screen. */
export function readKept<Kept>(key: string): Kept | null {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}

export function writeKept(key: string, kept: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(kept));
  } catch {
    // The device's store is full: what is on the screen stays, a reload would lose it.
  }
}
