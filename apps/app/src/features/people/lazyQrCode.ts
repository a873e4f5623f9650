import { lazy } from 'react';

/** The codes' arithmetic is fetched when one is shown. */
export const QrCode = lazy(() => import('./QrCode'));
