import { serve } from './calls';
import { airJobs } from './jobs/air';

serve(airJobs);
