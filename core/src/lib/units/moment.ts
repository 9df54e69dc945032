/** Days since 1970-01-01 of a day of the Gregorian calendar. Source: H. Hinnant, days_from_civil (from memory); checked against `Date`. */
function daysOf(year: number, month: number, day: number): number {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yoe = y - era * 400;
  const doy = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  return era * 146_097 + yoe * 365 + Math.floor(yoe / 4) - Math.floor(yoe / 100) + doy - 719_468;
}
const ISO =
  /^(\d{4})-(\d\d)-(\d\d)(?:T(\d\d):(\d\d)(?::(\d\d(?:\.\d+)?))?(?:Z|([+-])(\d\d):?(\d\d))?)?$/;

/** Seconds since 1970 of a day or a time as ISO 8601 writes it (without an offset: of universal time); NaN of anything else. No clock is asked. */
export function secondsOf(iso: string): number {
  const match = ISO.exec(iso);
  if (!match) return NaN;
  const [
    ,
    year,
    month,
    day,
    hour = '0',
    minute = '0',
    second = '0',
    sign,
    offsetHour = '0',
    offsetMinute = '0',
  ] = match;
  const offset = (sign === '-' ? -1 : 1) * (Number(offsetHour) * 60 + Number(offsetMinute));
  return (
    (daysOf(Number(year), Number(month), Number(day)) * 1440 +
      Number(hour) * 60 +
      Number(minute) -
      offset) *
      60 +
    Number(second)
  );
}
/** Whole days from one day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round((secondsOf(to.slice(0, 10)) - secondsOf(from.slice(0, 10))) / 86_400);
/** The same day of a later year; of 29 February, 1 March where that year has none. */
export function yearsAfter(day: string, years: number): string {
  const year = Number(day.slice(0, 4)) + years;
  const isLeap = daysOf(year, 3, 1) - daysOf(year, 2, 1) === 29;
  return `${year}${day.slice(4) === '-02-29' && !isLeap ? '-03-01' : day.slice(4)}`;
}
