/** So many events are sent at once at most. */
export const MOST_EVENTS = 200;
