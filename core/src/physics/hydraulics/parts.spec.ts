import { LINES, VAN } from '../../testing/van.ts';
import {
  clutch,
  headMPa,
  RESIDUAL_MPA,
  residualFor,
  trailer,
  wearMl,
  type SizeInput,
} from './index.ts';

describe('residual pressure, reservoir, clutch, trailer', () => {
  // 2 psi is 13.79 kPa, a head of 1.33 m of fluid at 1060 kg/m³; common practice rounds to 1.34 m.
  test('2 psi against the head of fluid', () => {
    expect(RESIDUAL_MPA.disc / headMPa(1000)).toBeCloseTo(1.33, 2);
    expect(residualFor('disc', 430, 520)).toMatchObject({
      wantedMPa: RESIDUAL_MPA.disc,
      why: expect.stringMatching(/90 mm below/),
    });
    expect(residualFor('disc', 700, 520).wantedMPa).toBe(0);
    expect(residualFor('drum', 700, 520).wantedMPa).toBe(RESIDUAL_MPA.drum);
  });
  // Opposed pistons of 40 mm, 8 mm of wear and 0.12 mm of gap on each side: 2 wheels · 1256.6 mm² · 2 · 8.12 mm = 40.8 mL.
  // One sliding piston of 54 mm follows both pads: 2 · 2290.2 mm² · (16 + 0.12) mm = 73.8 mL. A drum of 20.64 mm: 2 · 334.6 mm² · (4 · 3 + 2.2) mm = 9.5 mL.
  test('wear moves fluid out of the reservoir', () => {
    expect(wearMl({ ...VAN.front, pistonsMm: [40] } as SizeInput['front'], 8)).toBeCloseTo(40.8, 1);
    expect(
      wearMl({ ...VAN.front, pistonsMm: [54], opposed: false } as SizeInput['front'], 8),
    ).toBeCloseTo(73.8, 1);
    expect(wearMl(VAN.rear, 3)).toBeCloseTo(9.5, 1);
  });
  // 15.875 master, 19.05 slave: area ratio 0.6944; 25 mm of master move 17.36 mm of slave, 8.68 mm of bearing through a fork of 2.
  test('clutch by hand', () => {
    const found = clutch({
      pedal: { forceN: 0, ratio: 6, efficiency: 1, strokeMm: 150 },
      masterBoreMm: 15.875,
      masterStrokeMm: 30,
      slaveBoreMm: 19.05,
      forkRatio: 2,
      bearingLoadN: 1400,
      takenMl: 0,
    });
    expect([found.slaveStrokeMm, found.bearingStrokeMm]).toEqual([
      expect.closeTo(17.36, 2),
      expect.closeTo(8.68, 2),
    ]);
    expect(found.pedalForceN).toBeCloseTo((700 * 0.69444) / 6, 2);
  });
  // 1,600 psi (11.03 MPa), one 57.15 mm piston, µ 0.4, 100 mm: 2·0.4·11.03·2565·100 = 2,264 N·m a wheel.
  test('trailer by hand', () => {
    const brake = {
      kind: 'disc',
      pistonsMm: [57.15],
      opposed: false,
      padMu: 0.4,
      effectiveRadiusMm: 100,
      clearanceMm: 0.2,
      complianceMmPerMPa: 0,
    } as const;
    const found = trailer({
      actuatorMPa: 1600 * 0.006894757,
      lines: LINES,
      bulkGPa: 1.7,
      airMl: 0,
      axles: [
        { brake, loadKg: 750, tyreRadiusMm: 300 },
        { brake, loadKg: 750, tyreRadiusMm: 300 },
      ],
    });
    expect(found.axles[0]!.wheelTorqueNm).toBeCloseTo(2264, -1);
    expect(found.z).toBeCloseTo((4 * found.axles[0]!.wheelTorqueNm) / 0.3 / (1500 * 9.80665), 9);
  });
});
