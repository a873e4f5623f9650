/** What a scan finds behind a face. */
export interface Service {
  /** Within a sentence. */
  readonly name: string;
}

export const SERVICES = {
  pipe: { name: 'pipe' },
  cable: { name: 'cable' },
  bar: { name: 'reinforcing bar' },
  unknown: { name: 'something the scan found' },
} as const satisfies Record<string, Service>;

export type ServiceKind = keyof typeof SERVICES;
export const SERVICE_KINDS = Object.keys(SERVICES) as readonly ServiceKind[];
