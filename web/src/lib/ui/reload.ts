import { invalidateAll } from '$app/navigation';
import { navigating } from '$app/state';

/** Loads what the page shows anew, after a navigation under way: an invalidation would end that where it stands. */
export async function reload(): Promise<void> {
  await navigating.complete?.catch(() => {});
  await invalidateAll();
}
