/** What stands in a data folder. */
export const DATABASE = 'green-abacus.db';
export const ATTACHMENTS = 'attachments';
