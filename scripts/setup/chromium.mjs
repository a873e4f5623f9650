/** Debian's Chromium as it is built for no screen at all, a quarter quicker; kept from calling home on a closed network. */
export const CHROMIUM_PATH = '/usr/bin/chromium-headless-shell';
export const CHROMIUM_ARGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];
export const PHONE = { width: 390, height: 844 };
export const WIDE = { width: 1280, height: 800 };
