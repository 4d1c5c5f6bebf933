/** Documents that are open, or closed with something still to be saved, by their IDs: opened again, one is
 *  the same again, and no two write over each other. */
export const openDocs = new Map<string, unknown>();
