import { useEffect, useState } from 'react';
import { problemWords } from '../../words/problemWords';

/**
 * Something the server sums up and the device does not carry: asked for when a page opens.
 *
 * @param before what stands until the answer is there
 * @param again another value asks once more; what is there stays until the new answer comes
 */
export function useDesk<T>(
  ask: () => Promise<T>,
  before: T | null = null,
  again = 0,
): { readonly answer: T | null; readonly problem: string | null } {
  const [state, setState] = useState<{ answer: T | null; problem: string | null }>({ answer: before, problem: null });
  useEffect(() => {
    let left = false;
    ask().then(
      (answer) => left || setState({ answer, problem: null }),
      (error: unknown) => left || setState({ answer: null, problem: problemWords(error) }),
    );
    return () => {
      left = true;
    };
  }, [ask, again]);
  return state;
}
