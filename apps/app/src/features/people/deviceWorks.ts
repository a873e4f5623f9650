import type { peopleWords } from '@nucleon/core/words/screens/people';

export type Ability = keyof typeof peopleWords.works;

/** What of the browser this page may use, asked of the browser itself; nothing is switched on for it. */
export async function deviceWorks(): Promise<Readonly<Record<Ability, boolean>>> {
  const { isSecureContext } = globalThis;
  const secure = isSecureContext && location.protocol === 'https:';
  const worker = 'serviceWorker' in navigator;
  const registration = worker ? await navigator.serviceWorker.getRegistration() : undefined;
  const media = 'mediaDevices' in navigator ? await navigator.mediaDevices.enumerateDevices() : [];
  const has = (kind: MediaDeviceKind): boolean => media.some((device) => device.kind === kind);
  return {
    secure,
    offline: registration?.active != null,
    camera: has('videoinput'),
    awake: 'wakeLock' in navigator,
    microphone: has('audioinput'),
  };
}
