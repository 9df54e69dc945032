import { serve } from './calls';
import { waysJobs } from './jobs/ways';

serve(waysJobs);
