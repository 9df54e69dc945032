import { serve } from './calls';
import { checkJobs } from './jobs/check';

serve(checkJobs);
