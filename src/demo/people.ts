/** Brindle & Hook Refrigeration and those it works for. All invented. */
import type { StoryWriter } from './writer';

const TWO_YEARS = 730;

export function writePeople(story: StoryWriter): void {
  const certified = (number: string, days: number) => [
    { scheme: '608 universal', number, expires: story.date(days) },
  ];
  story.people.push(
    {
      id: 'odalys',
      name: 'Odalys Brandt',
      role: 'service manager',
      certificates: certified('BH-1', TWO_YEARS),
    },
    { id: 'tobiah', name: 'Tobiah Renn', role: 'technician', certificates: certified('BH-4', 20) },
    {
      id: 'marit',
      name: 'Marit Solane',
      role: 'technician',
      certificates: [
        ...certified('BH-7', TWO_YEARS),
        { scheme: 'F-gas category I', number: 'K-2204', expires: story.date(410) },
      ],
    },
    { id: 'ike', name: 'Ike Fennimore', role: 'technician', certificates: certified('BH-9', TWO_YEARS) },
    {
      id: 'prue',
      name: 'Prue Castellan',
      role: "owner's representative, Almery Fish Hall",
      certificates: [],
    },
    { id: 'auditor', name: 'Auditor', role: 'auditor, reads only', certificates: [] },
  );
}

export const TECHNICIANS = ['tobiah', 'marit', 'ike'] as const;

const BOTTLES: [refrigerant: string, count: number, liters: number, tare: number][] = [
  ['R-448A', 4, 26.2, 11.2],
  ['R-507A', 4, 49.5, 11.4],
  ['R-404A', 3, 26.2, 11.1],
  ['R-134a', 4, 26.2, 10.9],
  ['R-22', 2, 26.2, 11.3],
  ['R-449A', 2, 26.2, 11.2],
  ['R-452A', 2, 26.2, 11.2],
  ['R-290', 2, 6.2, 3.4],
  ['R-513A', 1, 26.2, 11.1],
  ['R-407A', 2, 26.2, 11.2],
];

/** 26 bottles: the last of each gas is for recovery. */
export function writeCylinders(story: StoryWriter): void {
  let number = 0;
  for (const [refrigerant, count, waterCapacityL, tare] of BOTTLES) {
    for (let index = 0; index < count; index += 1) {
      number += 1;
      story.cylinders.push({
        id: `bottle-${String(number)}`,
        serial: `B-${String(number).padStart(2, '0')}`,
        refrigerant,
        purpose: index === count - 1 && count > 1 ? 'recovery' : 'virgin',
        tare: { value: tare, unit: 'kg' },
        waterCapacityL,
        ownerId: null,
      });
    }
  }
}
