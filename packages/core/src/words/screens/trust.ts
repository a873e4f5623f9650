/** Kinds of device a person may hold, by how they are told to trust a certificate. */
export type TrustSystem = 'iphone' | 'android' | 'mac' | 'windows' | 'linux';

interface Steps {
  readonly name: string;
  /** The way down through its settings. */
  readonly way: readonly string[];
  readonly steps: readonly string[];
}

const systems: Readonly<Record<TrustSystem, Steps>> = {
  iphone: {
    name: 'iPhone or iPad',
    way: ['Settings', 'General', 'About', 'Certificate Trust Settings', 'Nucleon workshop: on'],
    steps: [
      'Open this page in the browser that came with it, fetch the certificate and allow the download.',
      'In Settings, tap “Profile Downloaded” and install it.',
      'Then go down the way drawn above, and switch the workshop on.',
    ],
  },
  android: {
    name: 'Android',
    way: [
      'Settings',
      'Security',
      'More security settings',
      'Install from storage',
      'CA certificate',
    ],
    steps: [
      'Fetch the certificate above.',
      'Search the settings for “CA certificate”, or go down the way drawn above; names differ a little from phone to phone.',
      'Choose the file nucleon-workshop.crt among the downloads. The warning is meant: this one can vouch only for your workshop’s network.',
    ],
  },
  mac: {
    name: 'Mac',
    way: ['Keychain Access', 'System', 'Nucleon workshop', 'Trust', 'Always trust'],
    steps: [
      'Fetch the certificate and open it; it goes into the keychain.',
      'Open it there, and under Trust choose “Always trust”.',
    ],
  },
  windows: {
    name: 'Windows',
    way: ['nucleon-workshop.crt', 'Install certificate', 'Trusted root authorities'],
    steps: [
      'Fetch the certificate and open it.',
      'Choose “Install certificate”, this user, and put it into the store “Trusted Root Certification Authorities”.',
    ],
  },
  linux: {
    name: 'Linux, and browsers with a list of their own',
    way: ['Browser settings', 'Privacy and security', 'Certificates', 'Authorities', 'Import'],
    steps: [
      'Fetch the certificate.',
      'In the browser’s settings search for “certificates”, and import it among the authorities, for websites.',
    ],
  },
};

/** The page that leads a phone through trusting the workshop's computer. */
export const trustWords = {
  title: 'Trust the workshop’s computer',
  why: 'Your phone lets a page use its camera, hold the screen awake and work without a signal only where it trusts the computer behind it. Do this once for each device. What you trust can vouch for your workshop’s own network alone, for no other site.',
  fetch: '1 · Fetch the certificate',
  fetchIt: 'Fetch the certificate',
  settle: '2 · Tell this device to trust it',
  compare: '3 · Compare',
  compareWhy:
    'Your device shows a SHA-256 fingerprint of it. It must be this one, and the one under Display on the workshop’s computer:',
  open: '4 · Open Nucleon',
  openIt: 'Open Nucleon',
  openWhy:
    'If a warning comes now, one of the steps above is still missing; some browsers must be closed and opened once. Under Display, Nucleon says what works on this device.',
  systems,
};
