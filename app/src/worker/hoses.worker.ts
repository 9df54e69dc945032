import { serve } from './calls';
import { hosesJobs } from './jobs/hoses';

serve(hosesJobs);
