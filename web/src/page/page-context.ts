import { getContext, setContext } from 'svelte';
import type { CornerPage } from '../api/types';

const KEY = Symbol('page');

export const providePage = (page: () => CornerPage) => setContext(KEY, page);

/** The page around; only inside a PageScreen. */
export function usePage(): () => CornerPage {
  const page = getContext<(() => CornerPage) | undefined>(KEY);
  if (!page) throw new Error('usePage() outside of a PageScreen');
  return page;
}
