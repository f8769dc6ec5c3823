/** Visits of the story: one that goes on today with parts on order, one that was handed over. */
import { writeKioskVisit } from './kioskVisit';
import { VisitStory, read } from './visitStory';
import type { StoryWriter } from './writer';

export function writeVisits(story: StoryWriter): void {
  goingOn(story);
  handedOver(story);
  writeKioskVisit(story);
}

/** Today on the roof of the flower exchange: a false hit of old oil, a flare nut that leaks, a control under suspicion. */
function goingOn(story: StoryWriter): void {
  const visit = new VisitStory(story, 'flower-2', 'visit-flower-2', 'marit');
  visit.note('readings', 'visitBegun', 0, {});
  visit.note('readings', 'arrival', 0, {
    complaint: 'Bulb room and orchid room warm since the night, roses are sweating.',
    since: 'last night',
    alarmAt: 'Saturday 23:10',
    box: read('temperature', 46, '°F'),
    secondBox: read('temperature', 45, '°F'),
    outOfTemperature: read('duration', 30, 'h'),
    product: 'atRisk',
    mayLimp: 'yes',
    otherBoxWarm: 'yes',
  });
  visit.note('readings', 'reading', 0, {
    numbers: {
      suction: read('pressure', 4, 'psig'),
      head: read('pressure', 96, 'psig'),
      suctionLine: read('temperature', 58, '°F'),
      liquidLine: read('temperature', 74, '°F'),
      box: read('temperature', 46, '°F'),
      ambient: read('temperature', 71, '°F'),
      amps: read('current', 6.1, 'A'),
      rated: read('current', 11, 'A'),
      standing: { notDone: 'the rooms must not get warmer' },
    },
    signs: {
      running: 'yes',
      safety: 'none',
      frost: 'inletOnly',
      sightGlass: 'bubbles',
      indicator: 'dry',
      condenserFace: 'clean',
      oil: 'traces',
    },
  });
  visit.note('readings', 'judgement', 0, {
    verdict: 'Short of gas; the unit feeds both rooms, so the leak is before the branch or in one coil.',
    causes: { lowCharge: 0.74, liquidLineRestriction: 0.16 },
  });
  visit.looked(0, 'compressor', 'Compressor, unit');
  visit.looked(0, 'suctionValve', 'Suction service valve, unit');
  visit.looked(0, 'dischargeValve', 'Discharge service valve, unit');
  visit.looked(0, 'drier', 'Drier, unit');
  visit.looked(0, 'accessPort', 'Access port, lines');
  visit.note('search', 'spot', 0, {
    part: 'room1.drainPan',
    words: 'Drain pan, bulb room',
    mark: 'false',
    cause: 'spilledOil',
    why: 'old oil below the coil, cleaned and tested again',
  });
  visit.note('search', 'stain', 0, {
    place: 'below the coil of the bulb room',
    cause: 'oil spilled when the fan was exchanged',
    cleaned: 'yes',
  });
  visit.note('search', 'spot', 0, {
    part: 'pressureControl',
    words: 'Pressure control, unit',
    mark: 'hit',
    grade: 'detectorHit',
    method: 'electronic',
  });
  visit.log('leakFound', 0, {
    leakId: 'k4',
    component: 'Flare nut',
    location: 'bulb room',
    methods: ['bubbles'],
    sizeGuess: 'small, a bubble a second',
    part: 'room1.flareNut',
  });
  visit.note('search', 'spot', 0, {
    part: 'room1.flareNut',
    words: 'Flare nut, bulb room',
    mark: 'confirmed',
    grade: 'bubbles',
    method: 'bubbles',
    leakId: 'k4',
  });
}

/** Handed over eleven days ago at the hospital. */
function handedOver(story: StoryWriter): void {
  const visit = new VisitStory(story, 'reach-in-1', 'visit-reach-in-1', 'ike');
  visit.note('readings', 'visitBegun', -11, {});
  visit.note('readings', 'arrival', -11, {
    complaint: 'Door frosts up, otherwise cold.',
    box: read('temperature', 38, '°F'),
    product: 'safe',
    mayLimp: 'no',
  });
  visit.note('readings', 'reading', -11, {
    numbers: {},
    signs: { running: 'yes', frost: 'even', evaporatorFan: 'running' },
  });
  visit.note('partFitted', 'preventive', -11, {
    part: 'Door gasket',
    place: 'front',
    how: 'exchanged, hinge adjusted',
    preventive: true,
  });
  visit.note('readings', 'checklist', -11, { item: 'panelsClosed', answer: 'yes' });
  visit.log('handover', -11, { nextPerson: 'Nothing wrong with the circuit; it was the door.' });
  visit.note('handover', 'signed', -11, {
    name: 'Ward kitchen',
    notSigned: 'the kitchen had closed',
  });
}
