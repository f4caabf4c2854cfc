import type { ReactNode } from 'react';
import { usePalette } from './theme';
import type { SIZE } from './tokens';
import { Words } from './Words';

interface ProblemProps {
  readonly children: ReactNode;
  readonly size?: keyof typeof SIZE;
}

/** What went wrong and what is allowed, told aloud when it comes up; nothing where nothing did. */
export function Problem({ children, size }: ProblemProps) {
  const palette = usePalette();
  if (children === undefined || children === null || children === '') return null;
  return (
    <Words role="alert" colour={palette.fail} {...(size ? { size } : {})}>
      {children}
    </Words>
  );
}
