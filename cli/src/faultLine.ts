import type { Fault } from '@nucleon/core/documents/fault';

/** `/pieces/0/thicknessMm: …`; the whole file's pointer is shown as `/`. */
export const faultLine = (fault: Fault): string => `${fault.pointer || '/'}: ${fault.message}`;
