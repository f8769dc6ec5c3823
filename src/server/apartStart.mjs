// Registers the loader of TypeScript, then begins the module that is named.
import { register } from 'tsx/esm/api';

register();
await import(process.argv[2]);
