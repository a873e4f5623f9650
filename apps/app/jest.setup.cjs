/* A cold, busy machine may take seconds for what is done in milliseconds when warm. */
jest.setTimeout(60_000);
require('@testing-library/react').configure({ asyncUtilTimeout: 20_000 });
require('@testing-library/jest-dom');
// The browser's own database and scrolling, which jsdom lacks.
require('fake-indexeddb/auto');
globalThis.Element.prototype.scrollIntoView = () => undefined;

afterEach(() => globalThis.localStorage.clear());
