/** Chooses all that stands in a field with a proposed value, so that typing replaces it. */
export const selectAll = (event: FocusEvent) => (event.target as HTMLInputElement).select();
