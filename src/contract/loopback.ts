/** Names under which a computer reaches itself, as they stand in an address. */
export const THIS_COMPUTER: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];
