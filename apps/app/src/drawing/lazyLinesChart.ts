import { lazy } from 'react';

/** Loaded when a chart is first looked at, and once for all charts. */
export const LazyLinesChart = lazy(() => import('./LinesChart'));
