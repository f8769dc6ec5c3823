/** Every calculator by its slug; each comes only when it is opened. */
import { type ComponentType, lazy } from 'react';

export const TOOLS: Record<string, ComponentType> = {
  saturation: lazy(() => import('./pages/Saturation')),
  superheat: lazy(() => import('./pages/Superheat')),
  targets: lazy(() => import('./pages/Targets')),
  standing: lazy(() => import('./pages/Standing')),
  control: lazy(() => import('./pages/Control')),
  judge: lazy(() => import('./pages/Judge')),
  hold: lazy(() => import('./pages/Hold')),
  evacuation: lazy(() => import('./pages/Evacuation')),
  'pump-down': lazy(() => import('./pages/PumpDown')),
  release: lazy(() => import('./pages/Release')),
  weigh: lazy(() => import('./pages/Weigh')),
  'went-in': lazy(() => import('./pages/WentIn')),
  trim: lazy(() => import('./pages/Trim')),
  winter: lazy(() => import('./pages/Winter')),
  components: lazy(() => import('./pages/Components')),
  cylinder: lazy(() => import('./pages/Cylinder')),
  'leak-size': lazy(() => import('./pages/LeakSize')),
  cost: lazy(() => import('./pages/Cost')),
  forecast: lazy(() => import('./pages/Forecast')),
};
