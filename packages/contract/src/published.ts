import { jobFileSchema } from '@nucleon/core/documents/jobFile';
import { logFileSchema } from '@nucleon/core/documents/log';

const published = (id: string, title: string, schema: object): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: id,
  title,
  // The schema alone, without what the builder keeps on it for types.
  ...(JSON.parse(JSON.stringify(schema)) as object),
});

/** The open files as JSON Schema draft 2020-12, by the name they are published under in docs/. */
export const PUBLISHED_SCHEMAS = {
  'nucleon-job': published('urn:nucleon:job:1', 'nucleon-job version 1', jobFileSchema),
  'nucleon-log': published('urn:nucleon:log:1', 'nucleon-log version 1', logFileSchema),
};
