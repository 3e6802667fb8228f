import { describe, expect, it } from 'vitest';
import { clockDay, countdown, instantOf, localText, nextAt, span } from './time';
import { format, range } from './units';

describe('units', () => {
  it('shows one quantity in the units of the kitchen, as they are marked there', () => {
    expect(format('temperature', 150, 'metric')).toBe('150 °C');
    expect([format('temperature', 66, 'us'), format('dial', 150, 'us')]).toEqual(['151 °F', '300 °F']);
    expect([format('mass', 2.4, 'us'), format('mass', 0.25, 'us')]).toEqual(['5 lb 5 oz', '9 oz']);
    expect([format('small_length', 65, 'us'), format('small_length', 1, 'us')]).toEqual([
      '2½ in',
      'under ⅛ in',
    ]);
    expect([format('volume', 0.6, 'us'), format('volume', 1.2, 'us')]).toEqual(['2½ cups', '1¼ qt']);
    expect([12, 165, 850].map((g) => format('small_mass', g, 'us'))).toEqual(['12 g', '5¾ oz', '1 lb 14 oz']);
    expect([format('strength', 12.4, 'metric'), format('strength', 12.4, 'us')]).toEqual([
      '12 g a kilo',
      '1.2 %',
    ]);
    expect([range('strength', 10, 13, 'metric'), range('strength', 10, 13, 'us')]).toEqual([
      '10 to 13 g a kilo',
      '1 to 1.3 %',
    ]);
    expect([format('price', 14, 'metric'), format('price', 14, 'us')]).toEqual([
      '14.00 a kilo',
      '6.35 a pound',
    ]);
  });
});

describe('time', () => {
  it('says spans and countdowns', () => {
    expect([span(44), span(60), span(203)]).toEqual(['44 min', '1 h', '3 h 23']);
    expect([countdown(249), countdown(3849), countdown(-5)]).toEqual(['4:09', '1:04:09', '0:00']);
  });

  it('shows instants in the zone of the kitchen, with the day when it is another', () => {
    const now = Date.parse('2027-02-05T12:00:00Z');
    expect(clockDay('2027-02-05T16:30:00Z', 'Europe/Helsinki', now)).toBe('18:30');
    expect(clockDay('2027-02-06T16:30:00Z', 'Europe/Helsinki', now)).toBe('Sat 18:30');
    expect(localText('2027-02-05T22:30:00Z', 'Europe/Helsinki')).toBe('2027-02-06T00:30');
  });

  it('reads a local time back to its instant, on both sides of the change of clocks', () => {
    const zone = 'Europe/Helsinki';
    for (const text of ['2027-02-06T18:30', '2027-03-28T02:30', '2027-03-28T08:00', '2027-07-01T00:10']) {
      expect(localText(instantOf(text, zone)!, zone)).toBe(text);
    }
    expect(instantOf('soon', zone)).toBeUndefined();
  });

  it('finds the next dinner that can still be cooked', () => {
    const zone = 'Europe/Helsinki';
    expect(nextAt(19, 6, zone, Date.parse('2027-02-05T08:00:00Z'))).toBe('2027-02-05T19:00');
    expect(nextAt(19, 6, zone, Date.parse('2027-02-05T14:00:00Z'))).toBe('2027-02-06T19:00');
  });
});
