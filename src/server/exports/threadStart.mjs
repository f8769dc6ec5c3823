// A thread does not inherit the loader of TypeScript: it is registered here, then the work begins.
import { register } from 'tsx/esm/api';

register();
await import('./threadWork.ts');
