/** What is found of the people in the boat, and of what the boat goes through: codes, data and sentences. */
import { entry, figure, word } from '../../findings';

const wayWord = (way: string): string => (way === 'long' ? 'long' : 'wide');

export const ROOM_FINDINGS = {
  'person-on-nothing': entry(
    { person: word, on: word, mm: figure },
    ({ person, on, mm }, { length }) =>
      on === ''
        ? `${person} sits on nothing: no part lies there.`
        : `${person} sits on nothing: ${on.toLowerCase()} lies ${length(mm)} off that height.`,
    { person: 'Crew, seated', on: 'Side seat', mm: 90 },
  ),
  'person-headroom': entry(
    { person: word, by: word, room: figure, needs: figure },
    ({ person, by, room, needs }, { length }) =>
      `${person} has ${length(room)} under ${by.toLowerCase()}, and needs ${length(needs)}: ` +
      'move it out from under that, or lower the seat.',
    { person: 'Crew, seated', by: 'Foredeck', room: 700, needs: 910 },
  ),
  'person-legs': entry(
    { person: word, by: word, room: figure, needs: figure },
    ({ person, by, room, needs }, { length }) =>
      `${person} runs into ${by === '' ? 'the skin' : by.toLowerCase()}, ${length(room)} from the back; ` +
      `the legs take ${length(needs)}.`,
    { person: 'Crew, rowing', by: 'Bulkhead 3', room: 820, needs: 1010 },
  ),
  'person-broad': entry(
    { person: word, mm: figure, x: figure },
    ({ person, mm, x }, { length }) =>
      `The boat is ${length(mm)} too narrow for ${person.toLowerCase()}, at ${length(x)} from the stem.`,
    { person: 'Crew, lying', mm: 40, x: 1300 },
  ),
  'feet-hang': entry(
    { person: word, mm: figure },
    ({ person, mm }, { length }) =>
      `The feet of ${person.toLowerCase()} hang ${length(mm)} over what they would stand on: a lower seat, or a sole.`,
    { person: 'Crew, seated', mm: 60 },
  ),
  'boat-over-shop': entry(
    { way: word, mm: figure, room: figure, walk: figure },
    ({ way, mm, room, walk }, { length }) =>
      `The boat with ${length(walk)} to work in all round is ${length(mm)} ${wayWord(way)}; ` +
      `the shop is ${length(room)}.`,
    { way: 'long', mm: 5500, room: 5200, walk: 600 },
  ),
  'boat-over-door': entry(
    { wide: figure, high: figure, doorWide: figure, doorHigh: figure },
    ({ wide, high, doorWide, doorHigh }, { length }) =>
      `The boat does not come through the door, upright or on its side: it is ${length(wide)} by ${length(high)}, ` +
      `the door ${doorWide === 0 ? 'any width' : length(doorWide)} by ` +
      `${doorHigh === 0 ? 'any height' : length(doorHigh)}. Find that out before the first cut.`,
    { wide: 1500, high: 700, doorWide: 900, doorHigh: 1400 },
  ),
  'boat-over-trailer': entry(
    { way: word, mm: figure, room: figure },
    ({ way, mm, room }, { length }) => `The boat is ${length(mm)} ${wayWord(way)}; the trailer takes ${length(room)}.`,
    { way: 'long', mm: 4300, room: 4000 },
  ),
};
