/** The demo story as one logbook: the same day and seed give the same story. */
import type { Logbook } from '../core/logbook/logbook';
import type { Day } from '../core/quantity/day';
import { writeGeneratedSites } from './generated';
import { writeHandedOver } from './handed';
import { writeCylinders, writePeople } from './people';
import { writeVisits } from './visits';
import { writeOddMachines } from './oddMachines';
import { writeRows } from './rows';
import { StoryWriter } from './writer';
import * as written from './written';
import * as also from './writtenAlso';

const SEED = 1123;

export function demoStory(today: Day): Logbook {
  const story = new StoryWriter(today, SEED);
  writePeople(story);
  writeCylinders(story);
  written.writeFishHall(story);
  written.writeFlowerExchange(story);
  written.writeIceRink(story);
  also.writeHospital(story);
  also.writeOrchard(story);
  also.writeFerryTerminal(story);
  writeGeneratedSites(story);
  writeHandedOver(story);
  writeOddMachines(story);
  writeVisits(story);
  writeRows(story);
  return story.logbook();
}
