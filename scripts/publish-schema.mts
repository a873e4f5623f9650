/** Writes the schemas in docs/ from those the code uses: `npm run schema`. */
import { writeFileSync } from 'node:fs';
import { JOB_FILE_SCHEMA } from '@nucleon/contract/jobFileSchema';
import { RUN_LOG_SCHEMA } from '@nucleon/contract/runSchema';

for (const [name, schema] of [
  ['nucleon-job', JOB_FILE_SCHEMA],
  ['nucleon-log', RUN_LOG_SCHEMA],
] as const)
  writeFileSync(
    new URL(`../docs/${name}.schema.json`, import.meta.url),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
