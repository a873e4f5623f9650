/** Kept equal to the package's by its test. */
export const NUCLEON_VERSION = '0.8.6';
