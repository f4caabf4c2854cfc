import { z } from 'zod';

export const fieldErrorSchema = z.object({
  /** Path in the body, e.g. `operations.0.body.readings.0.values.0`. */
  field: z.string(),
  code: z.string(),
  /** What is allowed there. */
  message: z.string(),
});
/** What is wrong with one field of what was sent, and what is allowed there. */
export type FieldError = z.infer<typeof fieldErrorSchema>;

/** RFC 9457 problem details, with a code of ours that words hang on. */
export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.number().int(),
  code: z.string(),
  detail: z.string().optional(),
  errors: z.array(fieldErrorSchema).optional(),
});
/** Why a request was refused, as it goes over the wire. */
export type Problem = z.infer<typeof problemSchema>;

/** Zod's issues as field errors; unknown fields are named one by one. */
export function fieldErrors(error: z.ZodError): FieldError[] {
  return error.issues.flatMap((issue): FieldError[] => {
    const at = issue.path.map(String);
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({
        field: [...at, key].join('.'),
        code: 'unknown-field',
        message: 'this field is not known',
      }));
    }
    return [{ field: at.join('.'), code: issue.code, message: issue.message }];
  });
}
