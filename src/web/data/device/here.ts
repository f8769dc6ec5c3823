/** The time zone of the device: where no site is asked. */

export const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;
