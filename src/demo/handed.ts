/** What the technicians left for the next visit: notes, odd settings, parts by date, temporary ones still in place. */
import type { StoryWriter } from './writer';

export function writeHandedOver(story: StoryWriter): void {
  story.log('partFitted', 'rack-b', -200, 'ike', {
    part: 'Contactor',
    place: 'compressor 3',
    temporary: false,
  });
  story.log('partFitted', 'rack-b', -58, 'marit', {
    part: 'Contactor',
    place: 'compressor 3',
    temporary: false,
    why: 'contacts burnt again',
  });
  story.log('partFitted', 'rack-b', -30, 'tobiah', {
    part: 'Clamp-on valve',
    place: 'liquid header',
    temporary: true,
    removeBy: story.date(-9),
  });
  story.log('handover', 'rack-b', -23, 'tobiah', {
    nextPerson:
      'Second leak waits for its valve. Circuit 9 is valved off at the header; open it again with the repair. Porter has the key of the machine room.',
    oddSettings: 'Head pressure set 10 psi high on purpose: the heat reclaim needs it until March.',
    bring: 'header valve, brazing set, long ladder',
  });
  story.log('handover', 'flower-2', -61, 'ike', {
    nextPerson:
      'The unit on the roof serves rooms 2 and 3. Oil below the coil of room 2 is old, cleaned on this day.',
    oddSettings: 'Fan delay left at 8 minutes: shorter, and it ices.',
    bring: 'roof key from the auction desk',
  });
  story.log('partFitted', 'kitchen-freezer', -13, 'marit', {
    part: 'Burn-out drier',
    place: 'suction line',
    temporary: true,
    removeBy: story.date(7),
    why: 'acid test was doubtful',
  });
}
