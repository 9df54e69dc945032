/** Standard atmosphere, MPa. Source: ISO 2533. */
export const ATMOSPHERE_MPA = 0.101325;
/** One inch, mm: exact. Source: NIST SP 811. */
export const INCH_MM = 25.4;
/** N·m in one foot-pound. Source: NIST SP 811 (1.355818 N·m). */
export const LBF_FT_NM = 1.355818;
