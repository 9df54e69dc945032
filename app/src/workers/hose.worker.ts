import { answerHoses } from './hose-answer';
import { serveSearch } from './serve-search';

serveSearch(answerHoses);
