import { expose } from 'comlink';
import { z } from 'zod';
import { solver } from './solver';

// The content security policy forbids eval, which Zod would otherwise try.
z.config({ jitless: true });
expose(solver);
