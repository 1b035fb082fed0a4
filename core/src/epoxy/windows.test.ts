import { describe, expect, it } from 'vitest';
import { readForecast, type ClockOf } from './forecast';
import { epoxyAtFirst } from './schema';
import { dewPointC, fitStretches, holdOffs, hourly, windowsFrom, type Weather } from './windows';

const { resin } = epoxyAtFirst({}, 'mm'); // tried at 25 °C: tacky 4 h, bonds 18 h, sand 24 h, cured 120 h
const HOUR = 3_600_000;
const steady = (tempC: number, humidity = 60): Weather[] => [{ at: 0, tempC, humidity }];

describe('windowsFrom', () => {
  it('at the temperature of the maker’s trial has the maker’s hours; ten degrees colder twice as many', () => {
    expect(windowsFrom(0, steady(25), resin)).toEqual({
      ...{ tacky: 4 * HOUR, bonds: 18 * HOUR, sand: 24 * HOUR, cured: 120 * HOUR },
    });
    expect(windowsFrom(HOUR, steady(15), resin).tacky).toBeCloseTo(9 * HOUR, 0);
  });
  it('counts each stretch at its own pace: two hours warm, a night below the least, then cold', () => {
    const weather = [
      { at: 0, tempC: 25, humidity: 60 },
      { at: 2 * HOUR, tempC: 4, humidity: 60 },
      { at: 14 * HOUR, tempC: 15, humidity: 60 },
    ];
    // two of the four hours are done warm, the rest takes twice two from the morning on
    expect(windowsFrom(0, weather, resin).tacky).toBeCloseTo(18 * HOUR, 0);
  });
  it('never comes where it stays below the least temperature', () => {
    expect(windowsFrom(0, steady(5), resin)).toEqual({ tacky: null, bonds: null, sand: null, cured: null });
  });
  it('mixed after the forecast’s end goes on in its last temperature', () => {
    expect(windowsFrom(50 * HOUR, steady(25), resin).tacky).toBeCloseTo(54 * HOUR, 0);
  });
});

describe('holding off', () => {
  it('knows the dew point: of air at 20 °C and 50 % at 9.3 °C, of wet air its own temperature', () => {
    expect(dewPointC(20, 50)).toBeCloseTo(9.27, 1);
    expect(dewPointC(20, 100)).toBeCloseTo(20, 9);
    expect(dewPointC(30, 80)).toBeCloseTo(26.17, 1);
  });
  it('tells cold, damp and dew apart', () => {
    expect(holdOffs({ tempC: 18, humidity: 60 }, resin)).toEqual([]);
    expect(holdOffs({ tempC: 8, humidity: 60 }, resin)).toEqual(['cold']);
    expect(holdOffs({ tempC: 18, humidity: 90 }, resin)).toEqual(['damp', 'dew']);
    // a hull that stood in a cold night: warm air, cold wood
    expect(holdOffs({ tempC: 20, humidity: 70, surfaceC: 12 }, resin)).toEqual(['dew']);
  });
});

describe('fitStretches', () => {
  const day = (k: number, tempC: number, humidity = 60) => ({ at: k * 6 * HOUR, tempC, humidity });
  it('are those that stay fit until the coat is tacky', () => {
    // warm for two stretches of six hours, then too cold: what begins in the second is tacky in time, four hours on
    const weather = [day(0, 25), day(1, 25), day(2, 4), day(3, 25), day(4, 25, 95), day(5, 25)];
    expect(fitStretches(weather, resin)).toEqual([
      { from: 0, to: 12 * HOUR },
      { from: 18 * HOUR, to: 24 * HOUR },
    ]);
  });
  it('hour by hour between the times of a forecast: warm enough from the hour at which it is', () => {
    const steps = hourly([
      { at: 0, tempC: 4, humidity: 60 },
      { at: 12 * HOUR, tempC: 28, humidity: 60 },
      { at: 36 * HOUR, tempC: 28, humidity: 60 },
    ]);
    expect(steps.map(({ tempC }) => tempC).slice(0, 3)).toEqual([4, 6, 8]);
    expect(steps).toHaveLength(37);
    expect(fitStretches(steps, resin)[0]?.from).toBe(3 * HOUR); // 10 °C, the least that cures
  });
  it('are none in a cold week', () => expect(fitStretches([day(0, 3), day(1, 4)], resin)).toEqual([]));
});

describe('readForecast', () => {
  /** Of a shop whose clock shows universal time, in the year 2026. */
  const clockOf: ClockOf = ({ month, day, hour, minute }) =>
    month === 2 && day > 28 ? undefined : ((month * 31 + day) * 24 + hour) * HOUR + minute * 60_000;
  const reading = { notation: 'mm', clockOf } as const;
  const at = (hour: number) => clockOf({ year: 2026, month: 5, day: 2, hour, minute: 0 });
  it('reads a line a time, with a head or without, commas or semicolons, humidity as before where none is said', () => {
    const read = readForecast('time,temp,humidity\n2026-05-02 08:00, 12.5, 70\n2026-05-02T14:00;18,5\n', reading);
    expect(read).toEqual({
      ok: true,
      weather: [
        { at: at(8), tempC: 12.5, humidity: 70 },
        { at: at(14), tempC: 18.5, humidity: 70 },
      ],
    });
  });
  it('takes a boat in inches at its word: 50 °F are 10 °C', () => {
    const read = readForecast('2026-05-02 08:00, 50', { ...reading, notation: 'in-16' });
    expect(read.ok && read.weather[0]?.tempC).toBeCloseTo(10, 9);
  });
  it.each([
    ['', /no line of it/],
    ['2026-05-02 08:00, warm', /line 1: found "warm"; expected a temperature in °C/],
    ['2026-02-30 08:00, 12', /there is no 2026-02-30/],
    ['2026-05-02 08:00, 12, 130', /humidity from 0 to 100/],
    ['2026-05-02 08:00, 12\n2026-05-02 07:00, 12', /line 2: 2026-05-02 07:00 is not after/],
    ['2026-05-02 08:00, 12\nlater, 12', /line 2: found "later"/],
  ])('refuses %j, and says where', (text, words) => {
    const read = readForecast(text, reading);
    expect(!read.ok && read.problem).toMatch(words);
  });
});
