export { NotLiveError, stockOfReadings } from './readingStock';
