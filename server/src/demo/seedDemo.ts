import type { Context } from '../context';
export const DEMO_PEOPLE = [
  { name: 'Isla', role: 'inspector', secret: '246810' },
] as const;
export async function seedDemo(_context: Context): Promise<void> {}
