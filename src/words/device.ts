/** What a browser says of itself, as a person would call the device. */
const SYSTEMS: readonly [RegExp, string][] = [
  [/iPhone/, 'an iPhone'],
  [/iPad/, 'an iPad'],
  [/Android.*Mobile/, 'an Android phone'],
  [/Android/, 'an Android tablet'],
  [/Windows/, 'a Windows computer'],
  [/Macintosh/, 'a Mac'],
  [/CrOS/, 'a Chromebook'],
  [/Linux/, 'a Linux computer'],
];

export const deviceWords = (userAgent: string): string =>
  SYSTEMS.find(([pattern]) => pattern.test(userAgent))?.[1] ?? 'a device that does not say what it is';
