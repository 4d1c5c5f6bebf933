/** The DOM id of a field, so that a finding can bring it into view. */
export const fieldId = (path: string) => `field-${path.replace(/[^a-zA-Z0-9]+/g, '-').replace(/-$/, '')}`;
