/* A cold, busy machine may take seconds for what is done in milliseconds when warm. */
jest.setTimeout(60_000);
require('@testing-library/react-native').configure({ asyncUtilTimeout: 20_000 });
// The browser's own database, which these tests' environment lacks.
require('fake-indexeddb/auto');
