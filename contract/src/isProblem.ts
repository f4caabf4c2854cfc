import type { Problem } from './problem';

/** Whether an answer is a problem of ours, and no page of a gateway's: told without the shape, so that a device needs none. */
export function isProblem(body: unknown): body is Problem {
  if (typeof body !== 'object' || body === null) return false;
  const { status, code, title, errors } = body as Partial<Record<keyof Problem, unknown>>;
  return (
    typeof status === 'number' &&
    typeof code === 'string' &&
    typeof title === 'string' &&
    (errors === undefined || Array.isArray(errors))
  );
}
