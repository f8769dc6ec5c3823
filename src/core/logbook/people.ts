/** People and the days on which they belong to the company. */
import { type Day, dayOf } from '../quantity/day';
import type { Person } from './tables';

/** Whether somebody has left by a day: on the day itself too, nobody chooses them any more. */
export const hasLeft = ({ leftOn }: Pick<Person, 'leftOn'>, day: Day): boolean =>
  leftOn != null && dayOf(leftOn) <= day;

/** Files of the pictures of somebody's certificates. */
export const certificatePictures = ({ certificates }: Pick<Person, 'certificates'>): string[] =>
  (certificates ?? []).flatMap((each) => each['x-photo'] ?? []);
