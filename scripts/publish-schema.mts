/** Writes docs/nucleon-job.schema.json from the schema the code uses: `npm run schema`. */
import { writeFileSync } from 'node:fs';
import { JOB_FILE_SCHEMA } from '@nucleon/contract/jobFileSchema';

writeFileSync(
  new URL('../docs/nucleon-job.schema.json', import.meta.url),
  `${JSON.stringify(JOB_FILE_SCHEMA, null, 2)}\n`,
);
