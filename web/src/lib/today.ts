/** The day as it is written in every country: 2026-11-25. */
export const today = () => new Date().toLocaleDateString('sv-SE');
