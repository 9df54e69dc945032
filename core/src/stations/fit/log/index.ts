// What was seen and read: found again by words, by place and by day.
export { aboutKey, beforeAndNow, byDayFound, nextBag, photosOf, type LogSearch } from './log.ts';
