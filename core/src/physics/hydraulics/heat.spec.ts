import { coolingWm2K, coolsM2, heating, slowingJ, type HeatInput } from './heat.ts';
import { limitsFor } from './limits.ts';

const rotor = { massKg: 7, diameterMm: 280, widthMm: 55, fadeC: 400 };
const input: HeatInput = {
  massKg: 1500,
  topKmh: 150,
  ambientC: 20,
  axles: [
    { name: 'front', rotor, kind: 'disc', share: 0.7 },
    { name: 'rear', rotor: { ...rotor, massKg: 5 }, kind: 'drum', share: 0.3 },
  ],
};
const of = (id: string, given = input) => heating(given, 'light').find((one) => one.id === id)!;
const peakC = (id: string, axle = 0, given = input) => of(id, given).axles[axle]!.peakC;

describe('heat of braking', () => {
  test('a stop turns the energy of motion into heat of its iron', () => {
    // ½·m·v², 5 % more for what rotates; by hand: 0.5 · 1.05 · 1500 · (150/3.6)² = 1.3672 MJ.
    expect(slowingJ(1500, 150, 0)).toBeCloseTo(1_367_187.5, 1);
    // Seven tenths of it in two discs of 7 kg at 500 J/(kg·K): 136.7 K.
    expect(peakC('stop')).toBeCloseTo(20 + (1_367_187.5 * 0.7) / (2 * 7 * 500), 6);
    expect(peakC('stop', 1)).toBeCloseTo(20 + (1_367_187.5 * 0.3) / (2 * 5 * 500), 6);
  });
  /** What a disc of this size radiates at a temperature, W, by the law of Stefan and Boltzmann and an emissivity of 0.55, on its own. */
  const radiatesW = (celsius: number): number =>
    0.55 * 5.670374e-8 * coolsM2('disc', rotor) * ((celsius + 273.15) ** 4 - 293.15 ** 4);
  test('repeated braking is the geometric series of its textbook formula, less what is radiated', () => {
    // Limpert, repeated braking: after n stops ΔT·(1 − e^(−n·b·t))/(1 − e^(−b·t)), b = h·A/(m·c) (from memory).
    const from = 120;
    const rise = (slowingJ(1500, from, from / 2) * 0.7) / (2 * 7 * 500);
    const air = coolingWm2K('disc', 280, 0.75 * from) * coolsM2('disc', rotor);
    const series = (wK: number): number => {
      const b = wK / (7 * 500);
      return 20 + (rise * (1 - Math.exp(-15 * b * 45))) / (1 - Math.exp(-b * 45));
    };
    const peak = peakC('repeated');
    expect(peak).toBeLessThan(series(air));
    // As if it radiated all the time as it does at its hottest.
    expect(peak).toBeGreaterThan(series(air + radiatesW(peak) / (peak - 20)));
    expect(of('repeated').curve).toHaveLength(30);
    expect(of('repeated').name).toBe('15 brakings from 120 to 60 km/h, every 45 s');
  });
  test('a long hill ends as small steps of heat in and heat out do', () => {
    // Euler's method in steps of 0.05 s, on its own.
    const power = (1500 * 9.80665 * (0.06 - 0.01) * (30 / 3.6) * 0.7) / 2;
    const loses = coolingWm2K('disc', 280, 30) * coolsM2('disc', rotor);
    let celsius = 20;
    for (let t = 0; t < 720; t += 0.05)
      celsius += ((power - loses * (celsius - 20) - radiatesW(celsius)) / (7 * 500)) * 0.05;
    expect(peakC('hill')).toBeCloseTo(celsius, 0);
    expect(Math.abs(peakC('hill') - celsius)).toBeLessThan(0.2);
  });
  test('cooling is of the size that tables give: some tens of W/(m²·K) at town speed, more with speed, less for drums', () => {
    // R. Limpert, Brake Design and Safety (from memory): 50 to 100 for a solid disc at 60 to 80 km/h.
    expect(coolingWm2K('disc', 280, 70)).toBeGreaterThan(50);
    expect(coolingWm2K('disc', 280, 70)).toBeLessThan(120);
    expect(coolingWm2K('disc', 280, 120)).toBeGreaterThan(coolingWm2K('disc', 280, 60));
    expect(coolingWm2K('drum', 280, 70)).toBeLessThan(coolingWm2K('disc', 280, 70));
  });
  test('what is towed heats in proportion, and what passes its limit is named', () => {
    const towing = { ...input, massKg: 3000 };
    expect(peakC('stop', 0, towing) - 20).toBeCloseTo(2 * (peakC('stop') - 20), 6);
    // What is hotter radiates more than in proportion.
    for (const id of ['repeated', 'hill']) {
      const times = (peakC(id, 0, towing) - 20) / (peakC(id) - 20);
      expect([id, times > 1.6, times < 2]).toEqual([id, true, true]);
    }
    const limit = (fadeC: number): HeatInput => ({
      ...input,
      axles: input.axles.map((axle) => ({ ...axle, rotor: { ...axle.rotor, fadeC } })),
    });
    const front = peakC('repeated');
    expect(of('repeated', limit(front + 0.01)).axles[0]!.fades).toBe(false);
    expect(of('repeated', limit(front - 0.01)).axles[0]!.fades).toBe(true);
  });
  test('a trailer goes down the hill of its own rule, a van brakes every 55 s', () => {
    expect(heating(input, 'trailer').map(({ name }) => name)).toEqual([
      'One stop from 150 km/h',
      '1.7 km down 7 % at 40 km/h',
    ]);
    const van = limitsFor('light', 3000, 'N1')!.fade;
    expect(heating(input, 'light', van)[1]!.name).toMatch(/every 55 s/);
    // UN R13 type I, N2 (from memory): twenty from 60 km/h, a minute apart.
    const truck = limitsFor('heavy', 7000)!.fade;
    expect(heating(input, 'heavy', truck)[1]!.name).toBe(
      '20 brakings from 60 to 30 km/h, every 60 s',
    );
  });
  test('vanes cool a disc about twice as well between brakings, in one stop not at all, and a drum has none', () => {
    const vented = (axle: number): HeatInput => ({
      ...input,
      axles: input.axles.map((one, i) =>
        i === axle ? { ...one, rotor: { ...one.rotor, vented: true } } : one,
      ),
    });
    expect(peakC('stop', 0, vented(0))).toBe(peakC('stop'));
    const cooler = (peakC('repeated', 0, vented(0)) - 20) / (peakC('repeated') - 20);
    expect([cooler > 0.5, cooler < 0.85]).toEqual([true, true]);
    expect(peakC('repeated', 1, vented(1))).toBe(peakC('repeated', 1));
    const fluid = (given: HeatInput): number => of('repeated', given).axles[0]!.fluidC;
    expect(fluid(vented(0))).toBeLessThan(fluid(input));
  });
  test('on a long hill the face is a little hotter than the whole disc, and in one stop far hotter', () => {
    const [hill, stop] = [of('hill').axles[0]!, of('stop').axles[0]!];
    expect(hill.faceC - hill.peakC).toBeLessThan(15);
    expect(stop.faceC - stop.peakC).toBeGreaterThan(50);
  });
});
