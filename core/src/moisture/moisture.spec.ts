import { seeded } from '../testing/random.js';
import { BOARD_WOODS, drawnBack, equilibriumMoisture, moistureWithin } from './index.js';

describe('moisture of wood', () => {
  it('is that of the published table at 70 °F within 0.15 (Wood Handbook FPL-GTR-282, table 4-2, values from memory)', () => {
    const table: readonly (readonly [number, number])[] = [
      [20, 4.5],
      [25, 5.4],
      [30, 6.2],
      [35, 6.9],
      [40, 7.7],
      [45, 8.5],
      [50, 9.2],
      [55, 10.1],
      [60, 11.0],
      [65, 12.0],
      [70, 13.1],
      [75, 14.4],
      [80, 16.0],
    ];
    for (const [humidity, published] of table)
      expect(Math.abs(equilibriumMoisture(humidity, 21.1) - published))
        .withContext(`${humidity} %`)
        .toBeLessThanOrEqual(0.15);
    expect(equilibriumMoisture(0, 21)).toBe(0);
    expect(() => equilibriumMoisture(101, 20)).toThrowError(RangeError);
    expect(() => equilibriumMoisture(NaN, 20)).toThrowError(RangeError);
    expect(() => equilibriumMoisture(50, 90)).toThrowError(RangeError);
  });

  it('lies within its propagated limits in 20,000 draws of both readings, and the limits are reached', () => {
    const random = seeded(4);
    for (const [h, t] of [
      [31, 22],
      [50, 21],
      [70, 16],
    ] as const) {
      const bounds = moistureWithin({ value: h, limit: 3 }, { value: t, limit: 1 });
      const draws = Array.from({ length: 20_000 }, () => equilibriumMoisture(h + 3 * (2 * random() - 1), t + (2 * random() - 1)));
      const [least, most] = [Math.min(...draws), Math.max(...draws)];
      expect(least).toBeGreaterThanOrEqual(bounds.least);
      expect(most).toBeLessThanOrEqual(bounds.most);
      expect((most - least) / (bounds.most - bounds.least)).toBeGreaterThan(0.97);
    }
  });
});

describe('a board that drew back', () => {
  const air = (humidity: number, limit = 0) => ({ humidity: { value: humidity, limit }, celsius: { value: 21, limit: 0 } });

  it('is 0.13 mm narrower a side quarter-sawn and 0.29 flat-sawn: 54 mm of maple from 50 to 30 % (coefficients from memory)', () => {
    const b = drawnBack(54, BOARD_WOODS.maple, air(30), 50);
    expect(Math.abs(b.least - 0.13)).toBeLessThan(0.01);
    expect(Math.abs(b.most - 0.29)).toBeLessThan(0.01);
    expect(b.value).toBeGreaterThan(b.least);
    expect(b.value).toBeLessThan(b.most);
  });

  it('has not moved at home, and damp air does not draw it back', () => {
    expect(drawnBack(54, BOARD_WOODS.maple, air(50), 50)).toEqual({ value: 0, least: 0, most: 0 });
    expect(drawnBack(54, BOARD_WOODS.ebony, air(65), 50).most).toBe(0);
  });

  it('lies within its bounds in 20,000 draws of wood, humidity and temperature', () => {
    const random = seeded(9);
    const bounds = drawnBack(54, BOARD_WOODS.rosewood, { humidity: { value: 35, limit: 3 }, celsius: { value: 21, limit: 1 } }, 50);
    const { radial, tangential } = BOARD_WOODS.rosewood;
    for (let i = 0; i < 20_000; i++) {
      const share = radial + (tangential - radial) * random();
      const t = 21 + (2 * random() - 1);
      const loss = equilibriumMoisture(50, t) - equilibriumMoisture(35 + 3 * (2 * random() - 1), t);
      const drawn = (Math.max(0, loss) * share * 54) / 2;
      expect(drawn >= bounds.least - 1e-12 && drawn <= bounds.most + 1e-12).toBeTrue();
    }
  });
});
