/** Where a picture that was kept is read. */
export const photoAddress = (file: string): string => `/api/photos/${encodeURIComponent(file)}`;
