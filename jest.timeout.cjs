/* A cold, busy machine may take seconds for what is done in milliseconds when warm. */
jest.setTimeout(60_000);
