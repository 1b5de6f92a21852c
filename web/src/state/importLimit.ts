/** Bytes; what the server takes, checked here so that a wrong file is not sent at all. */
export const LARGEST_IMPORT = 2 * 1024 * 1024
