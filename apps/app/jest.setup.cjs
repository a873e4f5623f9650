/* A cold, busy machine may take seconds for what is done in milliseconds when warm. */
jest.setTimeout(60_000);
require('@testing-library/react').configure({ asyncUtilTimeout: 20_000 });
require('@testing-library/jest-dom');
// The browser's own database and scrolling, which jsdom lacks.
require('fake-indexeddb/auto');
globalThis.Element.prototype.scrollIntoView = () => undefined;

afterEach(() => globalThis.localStorage.clear());

/** A test that ends while something is still under way has not seen what comes of it. */
const { error } = console;
let unseen = 0;
console.error = (...said) => {
  if (String(said[0]).includes('not wrapped in act(')) unseen++;
  error(...said);
};
afterEach(() => {
  const count = unseen;
  unseen = 0;
  if (count > 0) throw new Error(`${count} updates came outside of act(): wait for them.`);
});

/** Nothing is laid out here, so nothing grows. */
globalThis.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
