/** Writes the schemas in docs/ from the documents the code uses: `npm run schema`. */
import { writeFileSync } from 'node:fs';
import { PUBLISHED_SCHEMAS } from '@nucleon/contract/published';

for (const [name, schema] of Object.entries(PUBLISHED_SCHEMAS))
  writeFileSync(
    new URL(`../docs/${name}.schema.json`, import.meta.url),
    `${JSON.stringify(schema, null, 2)}\n`,
  );
