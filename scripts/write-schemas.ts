import { mkdirSync, writeFileSync } from 'node:fs';
import { fileSchemas, jsonSchemaOf, type FileFormat } from '../src/core';

/** Writes docs/schema from the definitions that read the files; a test holds the two together. */
mkdirSync('docs/schema', { recursive: true });
for (const format of Object.keys(fileSchemas) as FileFormat[]) {
  writeFileSync(`docs/schema/${format}.schema.json`, `${JSON.stringify(jsonSchemaOf(format), null, 2)}\n`);
}
