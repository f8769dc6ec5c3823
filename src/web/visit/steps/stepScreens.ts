/** The tool of each step; a step without one does not compile. */
import type { ComponentType } from 'react';
import type { Step } from '../../../core/visit/steps';
import { Arrive } from './Arrive';
import { BeforeStep } from './BeforeStep';
import { ChargeStep } from './ChargeStep';
import { Decide } from './Decide';
import { Evacuate } from './Evacuate';
import { HandOver } from './HandOver';
import { PressureTestStep } from './PressureTestStep';
import { Isolate } from './Isolate';
import { JudgeStep } from './JudgeStep';
import { LeaveRight } from './LeaveRight';
import { Prove } from './Prove';
import { Pressurise } from './Pressurise';
import { Read } from './Read';
import { Repair } from './Repair';
import { Search } from './Search';

export const STEP_SCREENS: Record<Step, ComponentType> = {
  before: BeforeStep,
  arrive: Arrive,
  read: Read,
  judge: JudgeStep,
  raise: Pressurise,
  search: Search,
  decide: Decide,
  isolate: Isolate,
  repair: Repair,
  hold: PressureTestStep,
  evacuate: Evacuate,
  charge: ChargeStep,
  prove: Prove,
  leaveRight: LeaveRight,
  handOver: HandOver,
};
