// The types of the interface, off its published description: `npm run api`, or into another file.
import { writeFile } from "node:fs/promises";

import openapiTS, { astToString } from "openapi-typescript";
import ts from "typescript";

const BLOB = ts.factory.createTypeReferenceNode(ts.factory.createIdentifier("Blob"));

const types = await openapiTS(new URL("../docs/openapi.json", import.meta.url), {
  defaultNonNullable: false,
  // What is sent as a file is one, not a text.
  transform: (schema) => (schema.format === "binary" ? BLOB : undefined),
});
await writeFile(process.argv[2] ?? new URL("src/api/schema.ts", import.meta.url), astToString(types));
