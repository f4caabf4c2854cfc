import { BUNDLE_LINES, manifestSchema } from '@weskopos/contract';
import { typedKeys } from '@weskopos/core';
import { z } from 'zod';

/** The JSON Schema (2020-12) of every file of a bundle, by its place in the archive; made from what imports are checked by. */
export function bundleSchemas(): Readonly<Record<string, object>> {
  const schemaOf = (schema: z.ZodType) =>
    z.toJSONSchema(schema, { target: 'draft-2020-12', unrepresentable: 'any', io: 'input' });
  return Object.fromEntries([
    ...typedKeys(BUNDLE_LINES).map((file) => [`schema/${file}.schema.json`, schemaOf(BUNDLE_LINES[file])] as const),
    ['schema/manifest.schema.json', schemaOf(manifestSchema)] as const,
  ]);
}
