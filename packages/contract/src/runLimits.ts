/** So many events are sent at once at most. */
export const MAX_EVENTS = 200;
