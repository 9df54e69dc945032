/** Standard atmosphere, MPa. Source: ISO 2533. */
export const ATMOSPHERE_MPA = 0.101325;
/** One inch, mm: exact. Source: NIST SP 811. */
export const INCH_MM = 25.4;
