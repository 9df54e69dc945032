import { serve } from './calls';
import { setOutJobs } from './jobs/set-out';

serve(setOutJobs);
