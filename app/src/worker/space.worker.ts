import { serve } from './calls';
import { spaceJobs } from './jobs/space';

serve(spaceJobs());
