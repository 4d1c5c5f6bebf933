/** Begins a sentence: its first letter large. */
export const capital = (s: string) => s.charAt(0).toUpperCase() + s.slice(1);
