import { serve } from './calls';
import { makingJobs } from './jobs/making';

serve(makingJobs);
