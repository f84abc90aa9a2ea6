import { createContext } from 'svelte';

/** Moves the cursor to a field of the case, on whichever station it stands. */
export const [useGoto, provideGoto] = createContext<(path: string) => void>();
