const SYSTEMS: readonly (readonly [string, RegExp])[] = [
  ['iPhone', /iPhone/],
  ['iPad', /iPad/],
  ['Android', /Android/],
  ['Windows', /Windows/],
  ['Mac', /Macintosh/],
  ['Linux', /Linux/],
];

/** What the device is called until its person says otherwise. */
export const deviceName = (agent: string): string =>
  SYSTEMS.find(([, form]) => form.test(agent))?.[0] ?? '';

export const thisDeviceName = (): string =>
  typeof navigator === 'undefined' ? '' : deviceName(navigator.userAgent);
