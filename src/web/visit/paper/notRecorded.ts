/** What a paper says where nothing was written. */

export const NOT_RECORDED = 'not recorded';
