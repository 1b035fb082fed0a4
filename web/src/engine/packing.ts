/**
 * Plain data as one row of figures and a few words: what a worker and the page hand each other without either having to
 * copy it piece by piece. The browser's own copying takes ten times as long on lists of small lists, as points are.
 *
 * Method: the data is gone through once. Each thing writes a mark of what it is; a list its length, a record the number
 * of its set of keys, a word its number; figures follow as they are, and lists of nothing but figures without a mark
 * each. A long list that comes twice is written once, and is one list again when it is read. Takes null, undefined,
 * booleans, figures, words, lists and plain records; the figures' buffer can be transferred.
 */

export type Packed = {
  readonly figures: Float64Array<ArrayBuffer>;
  readonly words: readonly string[];
  /** The sets of keys of its records. */
  readonly keys: readonly (readonly string[])[];
};

const MARK = {
  nothing: 0,
  unset: 1,
  no: 2,
  yes: 3,
  figure: 4,
  word: 5,
  list: 6,
  figures: 7,
  record: 8,
  again: 9,
  /** Lists of figures, all equally long: points. */
  points: 10,
} as const;

/** Figures for which there is room at first: what an edit of a small boat changes. */
const FIRST_ROOM = 65_536;

/** The one key that cannot be set by its name. */
const PROTOTYPE = '__proto__';

/** Lists at least this long are worth looking up. */
const LONG_LIST = 12;

export function pack(data: unknown): Packed {
  const writer = new Writer();
  writer.write(data);
  return writer.packed();
}

export function unpack(packed: Packed): unknown {
  return new Reader(packed).read();
}

class Writer {
  private figures = new Float64Array(FIRST_ROOM);
  private length = 0;
  private readonly words = new Map<string, number>();
  private readonly keys: (readonly string[])[] = [];
  /** Of the record before: most come after one of their own kind. */
  private lastKeys = -1;
  private readonly lists = new Map<unknown, number>();

  write(data: unknown): void {
    if (typeof data === 'number') {
      this.put(MARK.figure);
      this.put(data);
    } else if (Array.isArray(data)) this.writeList(data as readonly unknown[]);
    else if (typeof data === 'object' && data !== null) this.writeRecord(data as Readonly<Record<string, unknown>>);
    else if (typeof data === 'string') {
      this.put(MARK.word);
      this.put(this.numberOf(data));
    } else if (data === null) this.put(MARK.nothing);
    else if (data === undefined) this.put(MARK.unset);
    else if (typeof data === 'boolean') this.put(data ? MARK.yes : MARK.no);
    else throw new TypeError(`A ${typeof data} cannot be packed; expected plain data`);
  }

  packed(): Packed {
    return {
      figures: this.figures.slice(0, this.length),
      words: [...this.words.keys()],
      keys: this.keys,
    };
  }

  private writeList(list: readonly unknown[]): void {
    if (list.length >= LONG_LIST) {
      const known = this.lists.get(list);
      if (known !== undefined) {
        this.put(MARK.again);
        this.put(known);
        return;
      }
      this.lists.set(list, this.lists.size);
    }
    const wide = pointWidth(list);
    if (wide > 0) {
      this.put(MARK.points);
      this.put(list.length);
      this.put(wide);
      for (const point of list as readonly (readonly number[])[]) for (let i = 0; i < wide; i++) this.put(point[i]!);
    } else if (isAllFigures(list)) {
      this.put(MARK.figures);
      this.put(list.length);
      for (let i = 0; i < list.length; i++) this.put(list[i] as number); // all are: checked above
    } else {
      this.put(MARK.list);
      this.put(list.length);
      for (const item of list) this.write(item);
    }
  }

  private writeRecord(record: Readonly<Record<string, unknown>>): void {
    const keys = Object.keys(record);
    const number = this.numberOfKeys(keys);
    this.put(MARK.record);
    this.put(number);
    for (const key of keys) this.write(record[key]);
    this.lastKeys = number; // what lies within it had keys of its own
  }

  private numberOfKeys(keys: readonly string[]): number {
    if (this.lastKeys >= 0 && isSameRow(this.keys[this.lastKeys]!, keys)) return this.lastKeys;
    const known = this.keys.findIndex((others) => isSameRow(others, keys));
    if (known >= 0) return known;
    this.keys.push(keys);
    return this.keys.length - 1;
  }

  private numberOf(word: string): number {
    const known = this.words.get(word);
    if (known !== undefined) return known;
    this.words.set(word, this.words.size);
    return this.words.size - 1;
  }

  private put(figure: number): void {
    if (this.length === this.figures.length) {
      const wider = new Float64Array(this.length * 2);
      wider.set(this.figures);
      this.figures = wider;
    }
    this.figures[this.length++] = figure;
  }
}

function isAllFigures(list: readonly unknown[]): boolean {
  for (let i = 0; i < list.length; i++) if (typeof list[i] !== 'number') return false;
  return true;
}

/** How many figures each item has, where all have as many and nothing else; nought where that is not so. */
function pointWidth(list: readonly unknown[]): number {
  const [first] = list;
  if (!Array.isArray(first) || first.length === 0) return 0;
  for (const item of list) if (!Array.isArray(item) || item.length !== first.length || !isAllFigures(item)) return 0;
  return first.length;
}

function isSameRow(a: readonly string[], b: readonly string[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

class Reader {
  private at = 0;
  private readonly lists: unknown[] = [];
  constructor(private readonly packed: Packed) {}

  read(): unknown {
    const mark = this.next();
    switch (mark) {
      case MARK.nothing:
        return null;
      case MARK.unset:
        return undefined;
      case MARK.no:
        return false;
      case MARK.yes:
        return true;
      case MARK.figure:
        return this.next();
      case MARK.word:
        return this.packed.words[this.next()];
      case MARK.list:
        return this.readList();
      case MARK.figures:
        return this.kept(this.readFigures(this.next()));
      case MARK.points:
        return this.readPoints();
      case MARK.record:
        return this.readRecord();
      case MARK.again:
        return this.lists[this.next()];
      default:
        throw new RangeError(`Mark ${mark} at ${this.at - 1} is none; expected one up to ${MARK.points}`);
    }
  }

  private readList(): unknown[] {
    const length = this.next();
    // kept before it is read: what lies within it counts on from there
    const list = this.kept<unknown>([], length);
    for (let i = 0; i < length; i++) list.push(this.read());
    return list;
  }

  private readPoints(): number[][] {
    const length = this.next();
    const wide = this.next();
    const list = this.kept<number[]>([], length);
    for (let i = 0; i < length; i++) list.push(this.readFigures(wide));
    return list;
  }

  private readFigures(length: number): number[] {
    const { figures } = this.packed;
    const { at } = this;
    this.at += length;
    // as literals: a list that is made so takes less room and time
    if (length === 2) return [figures[at]!, figures[at + 1]!]; // the writer wrote as much, here and below
    if (length === 3) return [figures[at]!, figures[at + 1]!, figures[at + 2]!];
    return Array.from(figures.subarray(at, at + length));
  }

  private kept<T>(list: T[], length = list.length): T[] {
    if (length >= LONG_LIST) this.lists.push(list);
    return list;
  }

  private readRecord(): Record<string, unknown> {
    const record: Record<string, unknown> = {};
    // the writer's own number
    for (const key of this.packed.keys[this.next()]!) {
      const value = this.read();
      if (key === PROTOTYPE)
        Object.defineProperty(record, key, { value, enumerable: true, writable: true, configurable: true });
      else record[key] = value;
    }
    return record;
  }

  private next(): number {
    return this.packed.figures[this.at++]!; // the writer wrote as much as is read
  }
}
