import { serveSearch } from './serve-search';
import { answerWays } from './way-answer';

serveSearch(answerWays);
