/**
 * Small things kept on the device. What does not read any more is not worth a broken screen; what no longer fits in is
 * said, and stays on the screen for as long as it is open.
 */
let onFull: () => void = () => undefined;

/** Whoever can tell the person that the device's store is full. */
export const whenFull = (tell: () => void): void => {
  onFull = tell;
};

export function readKept<Kept>(key: string, store: Storage = localStorage): Kept | null {
  try {
    return JSON.parse(store.getItem(key) ?? 'null') as Kept | null;
  } catch {
    return null;
  }
}

/** Whether it was kept. */
export function writeKept(key: string, kept: unknown, store: Storage = localStorage): boolean {
  try {
    store.setItem(key, JSON.stringify(kept));
    return true;
  } catch {
    onFull();
    return false;
  }
}

export const forgetKept = (key: string, store: Storage = localStorage): void => store.removeItem(key);

/** Keys of what is kept that begin so. */
export const keptKeys = (prefix: string, store: Storage = localStorage): string[] =>
  Object.keys(store).filter((key) => key.startsWith(prefix));

/**
 * A draft of an older version of its form: fields that the form still has and that hold the same kind of thing are taken
 * over, all others begin anew.
 */
export function fitting<Draft extends object>(fresh: Draft, kept: unknown): Draft {
  if (kept === null || typeof kept !== 'object' || Array.isArray(kept)) return fresh;
  const own = kept as Record<string, unknown>;
  const kindOf = (value: unknown): string =>
    value === null || value === undefined ? 'none' : Array.isArray(value) ? 'list' : typeof value;
  return Object.fromEntries(
    Object.entries(fresh).map(([key, value]) => {
      const before = own[key];
      const fits = key in own && (kindOf(before) === kindOf(value) || kindOf(value) === 'none');
      return [key, fits ? before : value];
    }),
  ) as Draft;
}
