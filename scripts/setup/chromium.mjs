/** Debian's Chromium, kept from calling home on a closed network. */
export const CHROMIUM_PATH = '/usr/bin/chromium';
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
