import { printGrowth } from './growth';
await printGrowth();
