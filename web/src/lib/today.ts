/** The day as it is written in every country: 2026-11-25. */
export const today = () => new Date().toLocaleDateString('sv-SE');

/** The time of day as it is written down: 14:05. */
export const clock = (at = new Date()) => at.toLocaleTimeString('sv-SE', { hour: '2-digit', minute: '2-digit' });
